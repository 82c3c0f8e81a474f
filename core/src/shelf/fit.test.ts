import { fittingNeeds, needsOf } from './fit.js';
import type { Fit } from './fit.js';

const SPEC = {
  fluids: [
    { component: 'engineOil' as const, litresWithFilter: 2, litresWithoutFilter: 1.7, grades: [] },
    { component: 'coolant' as const, litresWithFilter: 5, litresWithoutFilter: null, grades: [] },
  ],
};
const OIL = { id: 'oil', action: 'replace' as const, components: ['engineOil' as const] };
const FILTER = { id: 'filter', action: 'replace' as const, components: ['engineOilFilter' as const] };
const BOTH = {
  id: 'both',
  action: 'replace' as const,
  components: [...OIL.components, ...FILTER.components],
};

function fit(component: Fit['component'], articleId: string, more: Partial<Fit> = {}): Fit {
  return { component, articleId, quantity: null, standing: 'original', ...more };
}
const FITS = [
  fit('engineOil', '10W-30'),
  fit('engineOilFilter', 'QF1'),
  fit('sparkPlugs', 'plug', { quantity: 2 }),
];
const PLENTY = new Map([
  ['10W-30', 20],
  ['QF1', 5],
  ['MF1', 5],
]);

describe('what fits a machine', () => {
  it('says what replacing takes: litres by the card, pieces by the fit, else one', () => {
    const plugs = { id: 'plugs', action: 'replace' as const, components: ['sparkPlugs' as const] };
    expect(fittingNeeds([BOTH, plugs], FITS, SPEC, PLENTY)).toEqual([
      { itemId: 'both', articleId: '10W-30', quantity: 2, component: 'engineOil' },
      { itemId: 'both', articleId: 'QF1', quantity: 1, component: 'engineOilFilter' },
      { itemId: 'plugs', articleId: 'plug', quantity: 2, component: 'sparkPlugs' },
    ]);
  });

  it('fills less in where the filter stays, and reckons with one that another line changes', () => {
    expect(fittingNeeds([OIL], FITS, SPEC, PLENTY)[0]?.quantity).toBe(1.7);
    expect(fittingNeeds([OIL, FILTER], FITS, SPEC, PLENTY)[0]?.quantity).toBe(2);
    const coolant = { id: 'c', action: 'replace' as const, components: ['coolant' as const] };
    expect(fittingNeeds([coolant], [fit('coolant', 'pink')], SPEC, PLENTY)[0]?.quantity).toBe(5);
  });

  it('counts to the millilitre, as the shelf does, whatever unit the card was typed in', () => {
    // 2.1 qt = 1.987 352 936 6 L (NIST Handbook 44, appendix C).
    const spec = {
      fluids: [
        {
          component: 'engineOil' as const,
          litresWithFilter: 1.987353,
          litresWithoutFilter: null,
          grades: [],
        },
      ],
    };
    expect(fittingNeeds([BOTH], FITS, spec, PLENTY)[0]?.quantity).toBe(1.987);
  });

  it('takes nothing for looking at a part, nor what the card has no litres of', () => {
    const inspect = { id: 'i', action: 'inspect' as const, components: ['sparkPlugs' as const] };
    const gearbox = { id: 'g', action: 'replace' as const, components: ['gearboxOil' as const] };
    expect(fittingNeeds([inspect, gearbox], [...FITS, fit('gearboxOil', '80W-90')], SPEC, PLENTY)).toEqual(
      [],
    );
  });

  it.each<[string, Fit[], [string, number][], string]>([
    [
      'the original before the others',
      [fit('engineOilFilter', 'MF1', { standing: 'equal' }), FITS[1] ?? fit('fuel', '')],
      [
        ['MF1', 5],
        ['QF1', 5],
      ],
      'QF1',
    ],
    [
      'the equal of which there is enough',
      [fit('engineOilFilter', 'MF1', { standing: 'equal' }), fit('engineOilFilter', 'QF1')],
      [['MF1', 5]],
      'MF1',
    ],
    [
      'an equal before a substitute',
      [
        fit('engineOilFilter', 'S', { standing: 'substitute' }),
        fit('engineOilFilter', 'MF1', { standing: 'equal' }),
      ],
      [
        ['MF1', 1],
        ['S', 9],
      ],
      'MF1',
    ],
    [
      'the original where there is none of either',
      [fit('engineOilFilter', 'MF1', { standing: 'equal' }), fit('engineOilFilter', 'QF1')],
      [],
      'QF1',
    ],
  ])('%s', (_case, fits, stock, chosen) => {
    expect(fittingNeeds([FILTER], fits, SPEC, new Map(stock)).map(({ articleId }) => articleId)).toEqual([
      chosen,
    ]);
  });

  it("takes the place of what a book's line names, and leaves the rest to it", () => {
    const lines = [
      { itemId: 'both', articleId: 'kit', quantity: 1 },
      { itemId: 'belt', articleId: 'belt', quantity: 1 },
    ];
    const belt = { id: 'belt', action: 'replace' as const, components: ['deckBelt' as const] };
    const ids = needsOf([BOTH, belt], FITS, SPEC, PLENTY, lines).map(({ articleId }) => articleId);
    expect(ids).toEqual(['10W-30', 'QF1', 'belt']);
  });
});
