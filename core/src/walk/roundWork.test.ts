import { civilDate } from '../calendar/civilDate.js';
import { every, everyHours, item } from '../schedule/testing/facts.js';
import { isRoundWork, mayBeDoneNow, waitsForWalk, workPlaceOf } from './roundWork.js';
import { STANDING_LOOKS, standingLooks } from './standingLook.js';

const storage = { kind: 'storage', days: 7 } as const;

describe('everyday work', () => {
  it.each([
    ['every 8 h, 5 min', [everyHours(8)], 5, true],
    ['every 10 h, 10 min', [everyHours(10)], 10, true],
    ['every 11 h', [everyHours(11)], 5, false],
    ['every 10 h, but 11 min', [everyHours(10)], 11, false],
    ['every week in use', [every(7, 'day')], 5, true],
    ['every 14 days in use', [every(14, 'day')], 5, true],
    ['every 15 days', [every(15, 'day')], 5, false],
    ['every week of the calendar, also at rest', [every(7, 'day', false)], 5, false],
    ['every month', [every(1, 'month')], 5, false],
    ['every 50 h or every week in use', [everyHours(50), every(7, 'day')], 5, true],
    ['every week in storage', [storage], 5, false],
    ['with nothing that makes it due', [], 5, false],
  ] as const)('is what comes often and is over soon: %s', (_words, triggers, minutes, isRound) => {
    expect(isRoundWork(item('i', triggers), minutes)).toBe(isRound);
  });

  it('comes oftener in dust', () => {
    expect(isRoundWork({ ...item('i', [everyHours(20)]), dutyFactor: 0.5 }, 5)).toBe(true);
  });
});

describe('where work is done', () => {
  it('is as its line says, whatever is usual, and as is usual where it says nothing', () => {
    const often = item('i', [everyHours(8)]);
    const seldom = item('i', [everyHours(100)]);
    expect([workPlaceOf(often, 5, null), workPlaceOf(seldom, 5, null)]).toEqual(['walk', 'visit']);
    expect([workPlaceOf(often, 5, 'visit'), workPlaceOf(seldom, 60, 'walk')]).toEqual(['visit', 'walk']);
  });
});

describe('everyday work that waits', () => {
  const today = civilDate('2027-05-13');
  it.each([
    ['overdue', '2027-05-01', true],
    ['ripe', '2027-05-20', true],
    ['noRecord', null, true],
    ['coming', '2027-05-14', true],
    ['coming', '2027-05-15', false],
    ['coming', null, false],
    ['fine', '2027-08-01', false],
    ['resting', '2027-05-13', false],
  ] as const)('is what is due, on no record, or due by tomorrow: %s on %s', (state, on, waits) => {
    expect(waitsForWalk({ state, expectedOn: on && civilDate(on) }, today)).toBe(waits);
  });
});

describe('the standing look', () => {
  it('has each thing once, and what a class has not is not looked at', () => {
    const keys = STANDING_LOOKS.map(({ key }) => key);
    expect(new Set(keys).size).toBe(keys.length);
    const of = (machineClass: Parameters<typeof standingLooks>[0]) =>
      standingLooks(machineClass).map(({ key }) => key);
    expect(of('compactTractor')).toEqual(keys);
    expect(of('ridingMower')).toEqual(keys.filter((key) => key !== 'hydraulic'));
  });
});

describe('work that is done without a job', () => {
  it.each([
    ['inspect', 5, 'visit', true],
    ['clean', 10, 'visit', true],
    ['clean', 11, 'visit', false],
    ['replace', 5, 'visit', false],
    ['replace', 60, 'walk', true],
  ] as const)(
    'is what a walk-round does, and what is short and fits nothing new: %s, %s min, %s',
    (action, minutes, place, may) => {
      expect(mayBeDoneNow(action, minutes, place)).toBe(may);
    },
  );
});
