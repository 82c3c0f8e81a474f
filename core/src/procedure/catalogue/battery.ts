import { USUAL_CHARGING } from '../../check/battery.js';
import type { Measurement } from '../../measurement/measurement.js';
import { underHood } from '../machineSetUp.js';
import type { MachineSetUp } from '../machineSetUp.js';
import { workOn } from '../procedure.js';
import type { Procedure } from '../procedure.js';
import { step } from '../step.js';
import type { Step } from '../step.js';

function chargingOf({ spec }: MachineSetUp): Measurement {
  const card = spec.charging[0];
  const { low, high } = card ?? USUAL_CHARGING;
  // A card that gives no figure for idle leaves the usual one, but never more than it asks at working speed.
  const idleLow = card?.idleLow ?? Math.min(low, USUAL_CHARGING.idleLow);
  return { kind: 'charging', label: 'Charging voltage', low, high, idleLow, isUsual: !card };
}

/** What else a battery tells or wants, by its kind. */
const BATTERY_CARE: Record<MachineSetUp['fittings']['battery'], string> = {
  notSaid: 'Water in a serviceable battery.',
  serviceable:
    'Then its caps off: distilled water up to the ring, never acid, and no more before it was charged.',
  sealed: 'It is sealed: nothing is filled in.',
  window: 'Read its window by the colours printed beside it: charged, to be charged, or to be replaced.',
};

const REST =
  'before anything runs, and only where it has stood some hours: after a run the figure says nothing, so leave it empty then.';

/** The voltage at rest, first thing in a visit. */
function restVoltage(setUp: MachineSetUp): Step {
  const reach = underHood(setUp).includes('hoodOff') ? 'Hood open. ' : '';
  return step('rest', 'lookOver', `${reach}Measure the voltage at rest, ${REST}`, 2, {
    needs: [],
    after: [],
    shared: 'restVoltage',
    tools: ['multimeter'],
    measurement: { kind: 'battery', label: 'Rest voltage', goodFrom: setUp.figures.restGoodVolts },
  });
}

export const BATTERY: Procedure = {
  key: 'battery',
  name: 'Battery: test',
  does: workOn(['inspect'], 'battery'),
  steps: (setUp) => [
    restVoltage(setUp),
    step(
      'charging',
      'functionChecks',
      'Measure the voltage at the battery with the engine at working speed, then at idle.',
      2,
      {
        needs: [],
        cautions: ['exhaust'],
        tools: ['multimeter'],
        measurement: chargingOf(setUp),
      },
    ),
  ],
};

/** A battery in storage is looked at every month (common practice), unless the book says otherwise. */
const USUAL_STORAGE_DAYS = 30;

function storageDays({ items }: MachineSetUp): number {
  const charged = items.find(
    ({ action, components }) => action === 'charge' && components.includes('battery'),
  );
  return charged?.storageDays ?? USUAL_STORAGE_DAYS;
}

export const BATTERY_CHARGE: Procedure = {
  key: 'batteryCharge',
  name: 'Battery: charge',
  does: workOn(['charge'], 'battery'),
  steps: (setUp) => [
    restVoltage(setUp),
    step(
      'charge',
      'finish',
      `After the visit, and below ${setUp.figures.restGoodVolts} V at rest in any case, for a flat one freezes: battery out, negative lead first, and indoors. Charge at 2 A or less, with air around it, and write on it when it is to be looked at next.`,
      6,
      {
        needs: [],
        cautions: ['batteryOrder'],
        tools: ['charger, 2 A', '10 mm and 13 mm wrenches'],
        after: [],
        againInDays: storageDays(setUp),
      },
    ),
  ],
};

export const BATTERY_CLEAN: Procedure = {
  key: 'batteryClean',
  name: 'Battery and terminals: clean',
  does: workOn(['clean'], 'battery', 'batteryTerminals'),
  steps: (setUp) => [
    step(
      'clean',
      'whileItDrains',
      `Negative clamp off first, then positive. Brush top, posts and clamps, from side to side, never along both posts at once. Positive back first, negative last; a thin film of grease or spray when they are tight. ${BATTERY_CARE[setUp.fittings.battery]}`,
      6,
      {
        needs: underHood(setUp),
        cautions: ['batteryOrder'],
        tools: ['terminal brush', 'gloves and goggles'],
      },
    ),
    restVoltage(setUp),
  ],
};
