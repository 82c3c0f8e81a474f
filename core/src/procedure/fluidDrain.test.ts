import type { Component } from '../component/components.js';
import { withDefaults } from '../site/houseRules.js';
import { sheetSteps } from './compose.js';
import { fillNeedOf } from './fillNeed.js';
import { FLUID_DRAINS } from './machineSetUp.js';
import type { FluidDrain, MachineSpec } from './machineSetUp.js';
import { MOWER_SPEC, setUp, TRACTOR, work } from './testing/jobs.js';

const cardOf = (component: Component, more: Partial<MachineSpec['fluids'][number]>): MachineSpec => ({
  ...MOWER_SPEC,
  fluids: [{ component, litresWithFilter: 5, litresWithoutFilter: null, grades: [], ...more }],
  torques: [{ component: 'transaxlePlug', fastener: '', low: 20, high: 24 }],
  tools: [{ component: 'transaxlePlug', name: '', note: 'square key, 3/8 in' }],
});

const sheetOf = (component: Component, drain: FluidDrain | null, otherDrain = 'drain') =>
  sheetSteps(
    setUp([work('Oil', 'replace', component)], {
      ...TRACTOR,
      spec: cardOf(component, { drain }),
      rules: withDefaults({ otherDrain }),
    }),
  );
const stepOf = (steps: ReturnType<typeof sheetOf>, key: string) => steps.find((step) => step.key === key);

describe('a gearbox', () => {
  it.each<[FluidDrain, RegExp, RegExp | null, string]>([
    ['plug', /^Transaxle oil: drain plug of the transaxle out/, /: put the plugs back/, 'pan'],
    ['twoPlugs', /open both/, /count two in/, 'pan'],
    ['valve', /drain valve/, /: close the valve/, 'pan'],
    ['hose', /: lay its drain hose/, /: close the hose/, 'pan'],
    ['extractor', /extractor tube/, null, 'extractor'],
    ['cap', /cap, and take it off/, /: wipe the cap/, 'pan'],
  ])('that drains by %s is opened, emptied and closed by it', (drain, opens, closes, vessel) => {
    const steps = sheetOf('transaxleOil', drain);
    const open = stepOf(steps, 'transaxleOil.drain');
    expect(open?.text).toMatch(opens);
    expect(open?.vessel).toBe(vessel);
    expect(open?.drains?.litresWithFilter).toBe(5);
    const close = stepOf(steps, 'transaxleOil.close');
    expect(close?.text ?? '').toMatch(closes ?? /^$/);
    // Only what is screwed in has a torque, and the tool of the card.
    const hasPlugs = drain === 'plug' || drain === 'twoPlugs';
    expect(close?.figures ?? []).toHaveLength(hasPlugs ? 1 : 0);
    expect(open?.tools.some((tool) => tool.includes('square key'))).toBe(hasPlugs);
    // It is not filled before it is empty and closed.
    const order = ['prove', 'drain', ...(closes ? ['close'] : []), 'fill', 'read'];
    const keys = steps.map(({ key }) => key);
    expect(order.map((id) => keys.indexOf(`transaxleOil.${id}`))).toEqual(
      order.map((id) => keys.indexOf(`transaxleOil.${id}`)).sort((a, b) => a - b),
    );
    expect(order.every((id) => keys.includes(`transaxleOil.${id}`))).toBe(true);
  });

  it('is drained as is usual for it where the card does not say', () => {
    expect(stepOf(sheetOf('transaxleOil', null), 'transaxleOil.drain')?.text).toBe(
      stepOf(sheetOf('transaxleOil', 'plug'), 'transaxleOil.drain')?.text,
    );
  });

  it('is pumped out where the shop does it so, whatever the card has', () => {
    for (const drain of [null, ...FLUID_DRAINS]) {
      const steps = sheetOf('frontDifferentialOil', drain, 'extractor');
      expect(stepOf(steps, 'frontDifferentialOil.drain')).toMatchObject({
        vessel: 'extractor',
        rule: 'otherDrain',
      });
      expect(stepOf(steps, 'frontDifferentialOil.close')).toBeUndefined();
    }
  });

  it('whose filters are its drain cannot be pumped', () => {
    const drain = stepOf(sheetOf('hydroOil', null, 'extractor'), 'hydroOil.drain');
    expect(drain?.text).toMatch(/: clean round both units. Filters off/);
    expect(drain?.vessel).toBe('pan');
  });
});

describe('what the book says to pour first', () => {
  it('is on the fill step of its fluid', () => {
    const steps = sheetSteps(
      setUp([work('Oil', 'replace', 'engineOil', 'engineOilFilter')], {
        spec: cardOf('engineOil', { litresWithFilter: 4.07, litresWithoutFilter: null, firstPour: 3.79 }),
      }),
    );
    const fill = stepOf(steps, 'engineOil.pour');
    const need = fill && fillNeedOf(fill, setUp([]));
    expect(need?.firstPourByBook).toBe(3.79);
  });
});
