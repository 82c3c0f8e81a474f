import { sheetSteps } from './compose.js';
import { composeSheet } from './sheet.js';
import { canMaim, getsLabel, handsOnMinutes, drainedWaste } from './stepFacts.js';
import type { Component } from '../component/components.js';
import { ANNUAL_MOWER, ANNUAL_TRACTOR, MOWER_SPEC, setUp, TRACTOR, work } from './testing/jobs.js';

describe('what follows from steps and items', () => {
  it('holds blades and raised decks to maim, and a walk round not', () => {
    const steps = sheetSteps(setUp(ANNUAL_MOWER));
    const maims = (key: string) => steps.filter((step) => step.key === key).map(canMaim);
    expect(maims('blades.tips')).toEqual([true]);
    expect(maims('access.deckRaised.open')).toEqual([true]);
    expect(maims('visit.walkRound')).toEqual([false]);
  });

  it('gives a label to oil and to its filter, and to nothing else', () => {
    expect(getsLabel(work('Engine oil and filter', 'replace', 'engineOil', 'engineOilFilter'))).toBe(true);
    expect(getsLabel(work('Oil filter', 'replace', 'engineOilFilter'))).toBe(true);
    expect(getsLabel(work('Hydro oil and filters', 'replace', 'hydroOil', 'hydroFilters'))).toBe(false);
  });

  it('counts the minutes of hands of what was done, what is shared once', () => {
    const all = setUp(ANNUAL_MOWER);
    const minutesOf = (...ids: string[]) => handsOnMinutes(all, ids);
    expect(minutesOf()).toBe(0);
    expect(minutesOf(...ANNUAL_MOWER.map(({ id }) => id))).toBe(Math.ceil(composeSheet(all).handsOn));
    const [oil, plugs] = ['Engine oil and filter', 'Spark plugs: replace'] as const;
    const both = minutesOf(oil, plugs);
    expect(both).toBeGreaterThan(Math.max(minutesOf(oil), minutesOf(plugs)));
    // Each by itself walks round, makes safe and signs off; together they do so once.
    expect(both).toBeLessThan(minutesOf(oil) + minutesOf(plugs));
    // Without items: walked round, made safe and closed up, wiped, signed off.
    expect(handsOnMinutes(setUp([]), [])).toBe(3 + 2 + 1 + 4 + 2);
  });

  it('adds up the oils that come out with what was done, and leaves coolant apart', () => {
    const fluid = (component: Component, litres: number) => ({
      component,
      litresWithFilter: litres,
      litresWithoutFilter: null,
      grades: [],
    });
    const fluids = [fluid('engineOil', 3.7), fluid('transmissionOil', 18), fluid('coolant', 5)];
    const set = setUp(ANNUAL_TRACTOR, { ...TRACTOR, spec: { ...MOWER_SPEC, fluids } });
    const [oil, transmission, coolant] = [
      'Engine oil and filter',
      'Transmission oil, strainer and filter',
      'Coolant: change',
    ] as const;
    // 3.7 + 18 = 21.7 L of oil; the 5 L of coolant go elsewhere.
    expect(drainedWaste(set, [oil, transmission, coolant])).toEqual([
      { waste: 'oil', litres: 21.7 },
      { waste: 'coolant', litres: expect.any(Number) as number },
    ]);
    expect(drainedWaste(set, [oil])).toEqual([{ waste: 'oil', litres: 3.7 }]);
    expect(drainedWaste(set, [coolant]).map(({ waste }) => waste)).toEqual(['coolant']);
    expect(drainedWaste(set, [])).toEqual([]);
  });
});
