import { CAUTIONS } from './caution.js';
import { PROCEDURES } from './catalogue.js';
import { sheetSteps } from './compose.js';
import type { SheetStep } from './compose.js';
import { ANNUAL_MOWER, ANNUAL_TRACTOR, setUp, TRACTOR } from './testing/jobs.js';

/** Words that stand for a danger, and the cautions of which one must stand before. */
const HAZARDS: readonly (readonly [RegExp, readonly (keyof typeof CAUTIONS)[]])[] = [
  [/raise the bed|bed hinges/i, ['raisedBed', 'hydraulicPressure']],
  [/(?:block|grind|measure|turn) (?:the |both )?(?:blades?|tips)/i, ['blades']],
  [/\bfuel\b.*(?:tap|tank|clamp)|bowl/i, ['fuel', 'dieselInjection']],
  [/bleed/i, ['dieselInjection']],
  [/battery out|put the battery back/i, ['batteryOrder']],
  [/below 30 psi/i, ['compressedAir']],
];

describe('the catalogue of procedures', () => {
  const set = setUp([...ANNUAL_MOWER, ...ANNUAL_TRACTOR]);
  const walked = PROCEDURES.flatMap((procedure) =>
    [set, setUp(set.items, TRACTOR), setUp(set.items, { machineClass: 'utilityVehicle' })].map((each) => ({
      procedure,
      steps: procedure.steps(each, {
        name: procedure.name,
        components: procedure.does.map(({ component }) => component),
        actions: procedure.does.map(({ action }) => action),
      }),
    })),
  );

  it('is not empty, and no key stands in it twice', () => {
    expect(PROCEDURES.length).toBeGreaterThan(30);
    expect(new Set(PROCEDURES.map(({ key }) => key)).size).toBe(PROCEDURES.length);
  });

  it('gives every procedure steps with words, minutes and tools', () => {
    for (const { procedure, steps } of walked) {
      expect([procedure.key, steps.length > 0]).toEqual([procedure.key, true]);
      expect([procedure.key, steps.some(({ handsOn }) => handsOn > 0)]).toEqual([procedure.key, true]);
      const isBareHanded = ['dustValve', 'safetyStart', 'coolantLevel'].includes(procedure.key);
      expect([procedure.key, isBareHanded || steps.some(({ tools }) => tools.length > 0)]).toEqual([
        procedure.key,
        true,
      ]);
      for (const { text, handsOn, handsOff } of steps) {
        expect(text).toMatch(/^[A-Z¾].*[.!]$/s);
        expect(handsOn + handsOff).toBeGreaterThan(0);
      }
    }
  });

  it('sets a caution before every step whose words name a danger', () => {
    const all: SheetStep[] = [
      set,
      setUp(set.items, TRACTOR),
      setUp(set.items, { machineClass: 'utilityVehicle' }),
    ].flatMap(sheetSteps);
    let checked = 0;
    for (const { key, text, cautions } of all) {
      for (const [words, wanted] of HAZARDS) {
        if (!words.test(text)) continue;
        checked += 1;
        expect([key, wanted.some((caution) => cautions.includes(caution))]).toEqual([key, true]);
      }
    }
    expect(checked).toBeGreaterThan(10);
  });
});
