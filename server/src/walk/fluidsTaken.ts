import { TOPPED_UP } from '@yugator/contracts';
import type { FieldFaultDto, FluidTakenDto, PouredDto } from '@yugator/contracts';
import { componentSpec } from '@yugator/core';
import { storedCardOrEmpty } from '../machine/storedCard.js';
import type { Person } from '../models/person.model.js';
import { fault, fieldProblem } from '../problem/problem.js';
import type { ScheduledMachine } from '../schedule/fleetSchedule.js';

/** What a machine takes between changes: the fluids of its card, then the others that its class and fuel may have. */
export function fluidsTaken({ machine }: ScheduledMachine): FluidTakenDto[] {
  const lines = storedCardOrEmpty(machine.spec).fluids;
  const ofCard = lines.flatMap(({ component, grades }) =>
    component && TOPPED_UP.includes(component) ? [{ component, grades }] : [],
  );
  const known = new Set(ofCard.map(({ component }) => component));
  const others = TOPPED_UP.filter((component) => {
    const { classes, fuel } = componentSpec(component);
    const isOfClass = !classes || classes.includes(machine.machineClass);
    return !known.has(component) && isOfClass && (!fuel || fuel === machine.fuel);
  });
  return [...ofCard, ...others.map((component) => ({ component, grades: [] }))];
}

function gradeFault(
  { component, grade, reason }: PouredDto,
  taken: readonly FluidTakenDto[],
  caller: Person,
  pointer: string,
): FieldFaultDto[] {
  const line = taken.find((each) => each.component === component);
  const words = componentSpec(component).words;
  if (!line)
    return [fault(`${pointer}/component`, 'notTaken', `This machine has no ${words}. Choose another.`)];
  const named = line.grades.map((each) => each.grade);
  if (named.length === 0 || named.includes(grade)) return [];
  const says = `The card names ${named.join(' or ')} for the ${words}.`;
  if (caller.role !== 'crewLead')
    return [fault(`${pointer}/grade`, 'notOfCard', `${says} Pour that, or ask the crew lead.`)];
  return reason
    ? []
    : [fault(`${pointer}/reason`, 'needed', `${says} Say why another was poured, or choose that.`)];
}

/** Refuses what a machine does not take, and what is no fluid of the shelf; `fluids` holds those that are, by their ids. */
export function checkPoured(
  scheduled: ScheduledMachine,
  poured: readonly PouredDto[],
  fluids: ReadonlyMap<string, unknown>,
  caller: Person,
  pointerOf: (place: number) => string,
): void {
  const taken = fluidsTaken(scheduled);
  const faults = poured.flatMap((each, place) => {
    const pointer = pointerOf(place);
    const isKnown = !each.articleId || fluids.has(each.articleId);
    return [
      ...gradeFault(each, taken, caller, pointer),
      ...(isKnown
        ? []
        : [
            fault(
              `${pointer}/articleId`,
              'unknown',
              'This is no fluid of the shelf (any more). Choose another.',
            ),
          ]),
    ];
  });
  if (faults.length) throw fieldProblem(...faults);
}
