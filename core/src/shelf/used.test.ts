import fc from 'fast-check';
import { civilDate } from '../calendar/civilDate.js';
import { seasonYear } from '../season/season.js';
import { takenUntil, usedBySeason, usedByYear } from './used.js';

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
      season: null,
      isBefore: false,
      from: '2027-01-01',
      to: '2027-12-31',
      year: 2027,
      used: [
        { articleId: 'oil', drawn: 4, left: 0, costMinor: 2550 },
        { articleId: 'kit', drawn: 1, left: 0, costMinor: 2490 },
        { articleId: 'plug', drawn: 1, left: 2, costMinor: -342 },
      ],
      costMinor: 4698,
    },
    {
      season: null,
      isBefore: false,
      from: '2026-01-01',
      to: '2026-12-31',
      year: 2026,
      used: [{ articleId: 'oil', drawn: 1.9, left: 0, costMinor: 1200 }],
      costMinor: 1200,
    },
  ]);
});

const MOWING = { id: 'm', name: 'Mowing', years: [seasonYear(2026, '03-24', '10-24')] };
const SNOW = { id: 's', name: 'Snow', years: [seasonYear(2026, '12-01', '02-28')] };

test('what was used is told by the seasons of the machine, and what was made ready before them', () => {
  const draws = [
    draw('2026-02-10', 'kit', 1, 2490),
    draw('2026-03-24', 'oil', 1, 600),
    draw('2026-10-24', 'oil', 1, 600),
    draw('2026-11-02', 'plug', 1, 342),
    draw('2027-01-05', 'blade', 1, 2150),
    draw('2027-03-02', 'kit', 1, 2490),
  ];
  const periods = usedBySeason(draws, [MOWING]);
  expect(
    periods.map(({ season, year, isBefore, from, to, costMinor }) => [
      season,
      year,
      isBefore,
      from,
      to,
      costMinor,
    ]),
  ).toEqual([
    ['Mowing', 2027, true, '2026-10-25', '2027-03-23', 342 + 2150 + 2490],
    ['Mowing', 2026, false, '2026-03-24', '2026-10-24', 1200],
    ['Mowing', 2026, true, '2025-10-25', '2026-03-23', 2490],
  ]);
  // A winter of its own is a season over the new year.
  expect(
    usedBySeason(draws, [MOWING, SNOW]).map(({ season, year, isBefore, costMinor }) => [
      season,
      year,
      isBefore,
      costMinor,
    ]),
  ).toEqual([
    ['Mowing', 2027, true, 2490],
    ['Snow', 2026, false, 2150],
    ['Snow', 2026, true, 342],
    ['Mowing', 2026, false, 1200],
    ['Snow', 2025, false, 2490],
  ]);
  expect(usedBySeason(draws, [])).toEqual([]);
});

test('no penny is lost between the draws, the years and the seasons', () => {
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
      const seasons = usedBySeason(draws, [MOWING, SNOW]);
      expect(sum(seasons.map(({ costMinor }) => costMinor))).toBe(
        sum(draws.map(({ costMinor }) => costMinor)),
      );
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
