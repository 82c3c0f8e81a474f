import fc from 'fast-check';
import { civilDate } from '../calendar/civilDate.js';
import { takenUntil, usedByYear } from './used.js';

const draw = (day: string, articleId: string, quantity: number, costMinor: number) => ({
  on: civilDate(day),
  articleId,
  quantity,
  costMinor,
});

test('what was used is told year by year, what kits left beside it, the dearest first', () => {
  expect(
    usedByYear([
      draw('2026-12-31', 'oil', 1.9, 1200),
      draw('2027-04-02', 'plug', -2, -684),
      draw('2027-04-02', 'kit', 1, 2490),
      draw('2027-05-02', 'oil', 1.9, 1200),
      draw('2027-06-02', 'oil', 2.1, 1350),
      draw('2027-07-02', 'plug', 1, 342),
    ]),
  ).toEqual([
    {
      year: 2027,
      used: [
        { articleId: 'oil', drawn: 4, left: 0, costMinor: 2550 },
        { articleId: 'kit', drawn: 1, left: 0, costMinor: 2490 },
        { articleId: 'plug', drawn: 1, left: 2, costMinor: -342 },
      ],
      costMinor: 4698,
    },
    {
      year: 2026,
      used: [{ articleId: 'oil', drawn: 1.9, left: 0, costMinor: 1200 }],
      costMinor: 1200,
    },
  ]);
});

test('no penny is lost between the draws and the years', () => {
  const any = fc.record({
    on: fc.constantFrom(...['2025-01-01', '2025-12-31', '2026-06-01', '2027-02-28'].map(civilDate)),
    articleId: fc.constantFrom('a', 'b', 'c'),
    quantity: fc.integer({ min: -5, max: 5 }),
    costMinor: fc.integer({ min: -5000, max: 5000 }),
  });
  fc.assert(
    fc.property(fc.array(any), (draws) => {
      const years = usedByYear(draws);
      const sum = (figures: readonly number[]) => figures.reduce((all, figure) => all + figure, 0);
      expect(sum(years.map(({ costMinor }) => costMinor))).toBe(sum(draws.map(({ costMinor }) => costMinor)));
      expect(years.map(({ year }) => year)).toEqual(years.map(({ year }) => year).sort((a, b) => b - a));
    }),
  );
});

test('what a machine takes by a day is added up by the article that fits first', () => {
  const work = (day: string, ...articles: [string, number][]) => ({
    expectedOn: civilDate(day),
    articles: articles.map(([articleId, quantity]) => ({ articleId, quantity })),
  });
  const works = [
    work('2027-09-01', ['oil', 1.9], ['other oil', 1.9]),
    work('2027-05-01', ['filter', 1]),
    work('2027-06-01', ['oil', 1.9]),
    work('2028-05-02', ['filter', 1]),
    work('2027-06-01'),
  ];
  expect(takenUntil(works, civilDate('2028-05-01'))).toEqual([
    { articleId: 'filter', quantity: 1, times: 1 },
    { articleId: 'oil', quantity: 3.8, times: 2 },
  ]);
});
