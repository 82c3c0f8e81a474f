import { civilDate } from '../calendar/civilDate.js';
import { asPlanned } from './asPlanned.js';
import { everyHours, item } from './testing/facts.js';

const OIL = item('oil', [everyHours(50)]);
const BELT = item('belt', [everyHours(200)]);
const UNTIL = civilDate('2027-12-31');

const times = (of: typeof OIL, ...days: string[]) =>
  days.map((on, nth) => ({
    item: of,
    earlyOn: civilDate(on),
    expectedOn: civilDate(on),
    lateOn: null,
    nth,
  }));
const planned = (days: Record<string, string[]>) =>
  new Map(Object.entries(days).map(([id, own]) => [id, own.map((on) => civilDate(on))]));
const shown = (works: ReturnType<typeof asPlanned>) =>
  works.map(({ item: { id }, expectedOn, lateOn, nth }) => [id, expectedOn, lateOn, nth]);

it('what is planned comes on its day for certain, and later times as they are expected', () => {
  const works = [...times(OIL, '2027-05-20', '2027-08-01', '2027-10-10'), ...times(BELT, '2027-09-01')];
  expect(shown(asPlanned(works, [OIL, BELT], planned({ oil: ['2027-05-14'] }), UNTIL))).toEqual([
    ['oil', '2027-05-14', '2027-05-14', 0],
    ['oil', '2027-08-01', null, 1],
    ['oil', '2027-10-10', null, 2],
    ['belt', '2027-09-01', null, 0],
  ]);
});

it.each([
  ['two times are planned', ['2027-05-14', '2027-07-20'], ['2027-05-14', '2027-07-20', '2027-10-10']],
  ['the plan is behind what is expected', ['2027-08-30'], ['2027-08-30', '2027-10-10']],
  ['a day lies beyond what is looked at', ['2028-02-01'], []],
])('an item is not counted twice where %s', (_when, days, expected) => {
  const works = times(OIL, '2027-05-20', '2027-08-01', '2027-10-10');
  expect(asPlanned(works, [OIL], planned({ oil: days }), UNTIL).map(({ expectedOn }) => expectedOn)).toEqual(
    expected,
  );
});

it('what nobody expected, but somebody planned, comes', () => {
  expect(shown(asPlanned([], [BELT], planned({ belt: ['2027-06-01'] }), UNTIL))).toEqual([
    ['belt', '2027-06-01', '2027-06-01', 0],
  ]);
});

it('without a plan all stays as it is expected', () => {
  const works = times(OIL, '2027-05-20', '2027-08-01');
  expect(asPlanned(works, [OIL, BELT], new Map(), UNTIL)).toEqual(works);
});
