import { sheetSteps } from './compose.js';
import { canMaim, getsLabel, usedOilLitres } from './stepFacts.js';
import { ANNUAL_MOWER, setUp, work } from './testing/jobs.js';

describe('what follows from steps and items', () => {
  it('holds blades and raised decks to maim, and a walk round not', () => {
    const steps = sheetSteps(setUp(ANNUAL_MOWER));
    const maims = (key: string) => steps.filter((step) => step.key === key).map(canMaim);
    expect(maims('blades.tips')).toEqual([true]);
    expect(maims('access.deckRaised.open')).toEqual([true]);
    expect(maims('visit.walkRound')).toEqual([false]);
  });

  it('gives a label to oil and to its filter, and to nothing else', () => {
    expect(getsLabel(work('Engine oil and filter', 'replace', 'engine oil'))).toBe(true);
    expect(getsLabel(work('Oil filter', 'replace', 'oil filter'))).toBe(true);
    expect(getsLabel(work('Hydro oil and filters', 'replace', 'hydro oil'))).toBe(false);
  });

  it('adds up the oils that come out, and leaves coolant apart', () => {
    // 3.7 + 18 = 21.7 L of oil; the 5 L of coolant go elsewhere.
    const drained = [
      { fluid: 'Engine oil', litres: 3.7 },
      { fluid: 'Transmission oil', litres: 18 },
      { fluid: 'Coolant', litres: 5 },
    ];
    expect(usedOilLitres({ drained })).toBe(21.7);
    expect(usedOilLitres({ drained: [] })).toBe(0);
  });
});
