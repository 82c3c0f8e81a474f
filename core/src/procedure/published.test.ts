import { componentSpec, COMPONENTS } from '../component/components.js';
import { keysOf } from '../names/record.js';
import { HOUSE_RULES } from '../site/houseRules.js';
import { CAUTIONS } from './caution.js';
import { PROCEDURES } from './catalogue.js';
import type { Step } from './step.js';
import { wasteOf } from '../fluid/waste.js';
import { MOWER_SPEC, setUp, TRACTOR } from './testing/jobs.js';

/** A card with litres of every fluid, so that each is drained and filled. */
const CARD = {
  ...MOWER_SPEC,
  fluids: keysOf(COMPONENTS)
    .filter((component) => componentSpec(component).is === 'fluid')
    .map((component) => ({ component, litresWithFilter: 3, litresWithoutFilter: null, grades: [] })),
};

/** Every step of every procedure, for a mower, a tractor, and each way in which air elements are cleaned. */
const STEPS: readonly (readonly [procedure: string, step: Step])[] = PROCEDURES.flatMap((procedure) => {
  const asked = {
    name: procedure.name,
    components: procedure.does.map(({ component }) => component),
    actions: procedure.does.map(({ action }) => action),
  };
  const items = procedure.does.map(({ action, component }, at) => ({
    id: String(at),
    name: procedure.name,
    action,
    components: [component],
  }));
  const usual = setUp(items, { spec: CARD });
  const blown = { ...usual, rules: { ...usual.rules, cleanPaper: 'air' as const } };
  return [usual, blown, setUp(items, { ...TRACTOR, spec: CARD })].flatMap((machine) =>
    procedure.steps(machine, asked).map((step) => [procedure.key, step] as const),
  );
});

/**
 * 29 CFR 1910.242(b): compressed air is not used for cleaning except where it is reduced to less than 30 psi, and then only with chip
 * guarding and personal protective equipment.
 */
describe('compressed air, by 29 CFR 1910.242(b)', () => {
  it('is below 30 psi, with protection, wherever something is blown', () => {
    // Told to: "Blow it out", not "never blow dirt into it".
    const blows = STEPS.filter(([, { text }]) => /(?:^|\. )Blow\b/.test(text));
    expect(blows.length).toBeGreaterThan(5);
    for (const [key, { id, cautions }] of blows)
      expect([`${key}.${id}`, cautions]).toEqual([`${key}.${id}`, expect.arrayContaining(['compressedAir'])]);
    expect(CAUTIONS.compressedAir.text).toMatch(/^Below 30 psi .*with eye protection/);
  });

  it('stands nowhere with as much as 30 psi', () => {
    const said = [
      ...STEPS.map(([, { text }]) => text),
      ...HOUSE_RULES.flatMap(({ options }) => options.map(({ words }): string => words)),
      ...Object.values(CAUTIONS).map(({ text }) => text),
    ].filter((words) => words.includes('30 psi'));
    expect(said.length).toBeGreaterThan(2);
    for (const words of said) expect(words).toMatch(/below 30 psi/i);
  });
});

/** 40 CFR 279.22(c): containers in which used oil is stored are labelled or marked clearly with the words "Used Oil". */
describe('used oil, by 40 CFR 279.22(c)', () => {
  it('goes into a container with these words, wherever an oil is drained', () => {
    const drains = STEPS.filter(
      ([, { drains: drained }]) => drained !== null && wasteOf(drained.fluid) === 'oil',
    );
    expect(new Set(drains.map(([, { drains: drained }]) => drained?.fluid)).size).toBeGreaterThan(5);
    for (const [key, { id, cautions }] of drains)
      expect([`${key}.${id}`, cautions]).toEqual([`${key}.${id}`, expect.arrayContaining(['usedOil'])]);
    expect(CAUTIONS.usedOil.text).toContain('marked "Used Oil"');
  });
});
