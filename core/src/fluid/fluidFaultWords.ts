import type { FluidFault } from './compatibility.js';
import { shownTemperature } from '../units/temperature.js';
import type { UnitSystem } from '../units/units.js';
import { FLUID_KINDS } from './fluidKind.js';

/** What speaks against a fluid, in sentences. */
export function fluidFaultWords(faults: readonly FluidFault[], units: UnitSystem): string {
  return faults.map((fault) => sentenceOf(fault, units)).join(' ');
}

function sentenceOf(fault: FluidFault, units: UnitSystem): string {
  const degrees = (celsius: number) => shownTemperature(celsius, units);
  switch (fault.code) {
    case 'unsaid':
      return 'The shelf does not say what kind of fluid it is. Read the label.';
    case 'otherKind':
      return `It is ${FLUID_KINDS[fault.kind].words}; here goes ${fault.takes.map((kind) => FLUID_KINDS[kind].words).join(' or ') || 'no fluid of the shelf'}.`;
    case 'otherFuel':
      return fault.fuel === 'diesel'
        ? 'It is for gasoline engines alone; this is a diesel.'
        : 'It is for diesel engines alone; this one burns gasoline.';
    case 'otherCategory':
      return `The card asks for ${fault.wants}, which its categories do not cover.`;
    case 'categoryUnsaid':
      return `The card asks for ${fault.wants}; the shelf does not say its category. Read the label.`;
    case 'categoryUnread':
      return `The card asks for "${fault.words}", which is no category that can be compared. Read card and label.`;
    case 'otherGrade':
      return `It is ${fault.grade || 'of no grade'}; the card approves ${fault.approved.join(' or ')}.`;
    case 'tooCold':
      return `Down to ${degrees(fault.celsius)} is expected until the next change; it is approved from ${degrees(fault.limit)} up.`;
    case 'tooWarm':
      return `Up to ${degrees(fault.celsius)} is expected until the next change; it is approved to ${degrees(fault.limit)}.`;
  }
}
