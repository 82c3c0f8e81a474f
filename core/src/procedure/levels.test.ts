import { COMPONENTS } from '../component/components.js';
import type { Component } from '../component/components.js';
import { keysOf } from '../names/record.js';
import { proceduresFor } from './catalogue.js';
import { sheetSteps } from './compose.js';
import { LEVEL_READINGS, READING_WORDS } from './levelReading.js';
import type { MachineSpec } from './machineSetUp.js';
import { MOWER_SPEC, setUp, TRACTOR, work } from './testing/jobs.js';

/** Fuel is filled by need, and its level is a gauge. */
const FLUIDS = keysOf(COMPONENTS).filter((key) => COMPONENTS[key].is === 'fluid' && key !== 'fuel');

const cardOf = (component: Component, more: Partial<MachineSpec['fluids'][number]>): MachineSpec => ({
  ...MOWER_SPEC,
  fluids: [{ component, litresWithFilter: 5, litresWithoutFilter: null, grades: [], ...more }],
});
const level = (component: Component, spec: MachineSpec = MOWER_SPEC) => {
  const steps = sheetSteps(setUp([work('Level', 'inspect', component)], { ...TRACTOR, spec }));
  return { steps, step: steps.find(({ key }) => key === `${component}Level.level`) };
};

describe('the level of a fluid', () => {
  it.each(FLUIDS)('%s is work of its own: read, looked at, told what to add', (fluid) => {
    expect(proceduresFor({ action: 'inspect', components: [fluid] }).map(({ key }) => key)).toEqual([
      `${fluid}Level`,
    ]);
    const { step } = level(fluid);
    expect(step?.reads?.fluid).toBe(fluid);
    expect(step?.look).not.toBeNull();
  });

  it.each(FLUIDS)('%s is read cold, before anything runs, unless its card wants it warm', (fluid) => {
    expect(level(fluid).step?.phase).toBe('lookOver');
    expect(level(fluid).step?.text).toMatch(/^(Hood open\. )?Before the engine runs, cold/);
    const { steps, step } = level(fluid, cardOf(fluid, { readAt: 'warm' }));
    expect(step?.text).toContain('After the run, engine off');
    const run = steps.findIndex(({ key }) => key === 'shared.warmRun');
    expect(run).toBeGreaterThanOrEqual(0);
    expect(steps.findIndex(({ key }) => key === step?.key)).toBeGreaterThan(run);
  });

  it.each(LEVEL_READINGS)('is read as the card says: %s', (reading) => {
    const spec = cardOf('engineOil', { reading, betweenMarks: 0.9, marks: 'lower to upper hole' });
    const { step } = level('engineOil', spec);
    expect(step?.text).toContain(READING_WORDS[reading]);
    expect(step?.reads).toEqual({ fluid: 'engineOil', betweenMarks: 0.9, marks: 'lower to upper hole' });
    const change = sheetSteps(setUp([work('Oil', 'replace', 'engineOil')], { spec }));
    expect(change.find(({ key }) => key === 'engineOil.dipstick')?.text).toContain(READING_WORDS[reading]);
  });

  it('is not asked for by itself where the fluid is changed on the same visit', () => {
    const both = [work('Level', 'inspect', 'engineOil'), work('Oil', 'replace', 'engineOil')];
    const keys = sheetSteps(setUp(both)).map(({ key }) => key);
    expect(keys).not.toContain('engineOilLevel.level');
    expect(keys).toContain('engineOil.dipstick');
  });

  it('of brakes is never topped up before it is known where it went', () => {
    const { step } = level('brakeFluid');
    // 49 CFR 571.116 (FMVSS 116): the class stands on the container, and on the cap (571.105 S5.4.3).
    expect(step?.text).toMatch(/find out why before you top up.*49 CFR 571\.116/);
    expect(step?.cautions).toContain('brakes');
  });
});
