import { COMPONENT_KEYS, componentSpec } from '../component/components.js';
import { ACTIONS } from '../schedule/item.js';
import { proceduresFor } from './catalogue.js';
import { BY_THE_BOOK } from './catalogue/generic.js';
import { fittingsOf } from './machineSetUp.js';
import type { MachineSetUp } from './machineSetUp.js';
import { isNamed, ORDERS } from './orders.js';
import { composeSheet } from './sheet.js';
import { MOWER_SPEC, setUp, work } from './testing/jobs.js';

/** All work that any procedure knows, in one visit. */
const EVERYTHING = COMPONENT_KEYS.flatMap((component) =>
  ACTIONS.filter((action) => !proceduresFor({ action, components: [component] }).includes(BY_THE_BOOK)).map(
    (action) => work(`${action} ${componentSpec(component).words}`, action, component),
  ),
);
const MACHINES: readonly Pick<MachineSetUp, 'machineClass' | 'fuel'>[] = [
  { machineClass: 'ridingMower', fuel: 'gasoline' },
  { machineClass: 'zeroTurn', fuel: 'gasoline' },
  { machineClass: 'compactTractor', fuel: 'diesel' },
  { machineClass: 'utilityVehicle', fuel: 'gasoline' },
];

/** A tractor whose fuel bleeds itself, whose oil is read warm and whose fuel filter is cleaned, or replaced. */
const WARM_TRACTORS = (['clean', 'replace'] as const).map((action) => {
  const machine = { machineClass: 'compactTractor', fuel: 'diesel' } as const;
  const items = EVERYTHING.filter(
    (item) => !item.components.includes('fuelFilter') || item.action === action,
  );
  const warm = { litresWithFilter: 18, litresWithoutFilter: null, readAt: 'warm', grades: [] } as const;
  const spec = { ...MOWER_SPEC, fluids: [{ component: 'brakeFluid', ...warm } as const] };
  const fittings = fittingsOf({ fuelBleed: 'self' }, machine.machineClass, machine.fuel);
  return { ...machine, sheet: composeSheet(setUp(items, { ...machine, spec, fittings })) };
});

const VISITS = [
  ...MACHINES.map((machine) => ({ ...machine, sheet: composeSheet(setUp(EVERYTHING, machine)) })),
  ...WARM_TRACTORS,
];

describe.each(VISITS)('in a visit of everything, on a $machineClass', ({ sheet }) => {
  const timed = sheet.steps.map((step, index) => ({
    step,
    begins: sheet.starts[index] ?? NaN,
    ends: (sheet.starts[index] ?? NaN) + step.handsOn + step.handsOff,
  }));

  it.each(ORDERS)('$first comes before $then: $why', ({ first, then }) => {
    const firsts = timed.filter(({ step }) => isNamed(step, first));
    const thens = timed.filter(({ step }) => isNamed(step, then));
    for (const a of firsts) {
      for (const b of thens)
        expect([a.step.key, b.step.key, a.ends <= b.begins]).toEqual([a.step.key, b.step.key, true]);
    }
  });
});

it.each(ORDERS)('$first and $then stand on some sheet together', ({ first, then }) => {
  const isBoth = VISITS.some(({ sheet: { steps } }) =>
    [first, then].every((named) => steps.some((step) => isNamed(step, named))),
  );
  expect(isBoth).toBe(true);
});
