import { addDays, civilDate } from '../calendar/civilDate.js';
import { COMPONENT_KEYS, componentSpec } from '../component/components.js';
import { collectionOutlook, isToBeCollected } from './collection.js';
import { WASTE_KEYS, wasteOf } from './waste.js';

const TODAY = civilDate('2027-05-13');
const before = (days: number, litres: number) => ({ on: addDays(TODAY, -days), litres });
/** 2 L every week of a year and more. */
const STEADY = Array.from({ length: 60 }, (_, week) => before(7 * week + 1, 2));

describe('when a container is full', () => {
  it('follows from what went in over the last year', () => {
    const outlook = collectionOutlook(STEADY, { inside: 40, capacity: 60 }, TODAY);
    // 20 L of room at 2 L a week: ten weeks.
    expect(outlook).toEqual({ perWeek: 2, fullOn: addDays(TODAY, 70), soonest: addDays(TODAY, 70) });
  });

  it('says how soon it may be, as in the busiest quarter of the year', () => {
    // All of it in one quarter of the year before: 4 L a week then, nothing since.
    const spring = Array.from({ length: 13 }, (_, week) => before(7 * week + 200, 4));
    const outlook = collectionOutlook([before(400, 1), ...spring], { inside: 0, capacity: 52 }, TODAY);
    expect(outlook).toEqual({ perWeek: 1, fullOn: addDays(TODAY, 365), soonest: addDays(TODAY, 91) });
  });

  it('counts neither collections nor what is older than a year, and is today where it is full', () => {
    const entries = [...STEADY, before(3, -60), before(370, 900)];
    expect(collectionOutlook(entries, { inside: 40, capacity: 60 }, TODAY)).toEqual(
      collectionOutlook(STEADY, { inside: 40, capacity: 60 }, TODAY),
    );
    expect(collectionOutlook(STEADY, { inside: 61, capacity: 60 }, TODAY)).toMatchObject({
      fullOn: TODAY,
      soonest: TODAY,
    });
  });

  it('is not said of three drains in a fortnight, nor of two in a year', () => {
    const of = { inside: 6, capacity: 60 };
    expect(collectionOutlook([before(14, 2), before(7, 2), before(1, 2)], of, TODAY)).toBeNull();
    expect(collectionOutlook([before(300, 2), before(1, 2)], of, TODAY)).toBeNull();
    expect(collectionOutlook([], of, TODAY)).toBeNull();
  });
});

it.each([
  ['nearly full', 48.1, null, true],
  ['four fifths full', 48, null, false],
  ['full within two weeks as in the busiest quarter', 10, 14, true],
  ['full a day later', 10, 15, false],
  ['empty, however fast it fills', 0, 1, false],
])('a container that is %s is collected soon, or not', (_what, inside, days, isSoon) => {
  const soonest = days === null ? null : addDays(TODAY, days);
  const outlook = soonest && { perWeek: 1, fullOn: addDays(soonest, 30), soonest };
  expect(isToBeCollected({ inside, capacity: 60, outlook }, TODAY)).toBe(isSoon);
});

it('every fluid goes into one container: coolant, brake fluid and fuel apart, all else with the oil (common practice)', () => {
  const fluids = COMPONENT_KEYS.filter((key) => componentSpec(key).is === 'fluid');
  const apart = fluids.filter((key) => wasteOf(key) !== 'oil');
  expect(apart.map((key) => [key, wasteOf(key)]).sort()).toEqual([
    ['brakeFluid', 'brakeFluid'],
    ['coolant', 'coolant'],
    ['fuel', 'fuel'],
  ]);
  expect(new Set(fluids.map(wasteOf))).toEqual(new Set(WASTE_KEYS));
});
