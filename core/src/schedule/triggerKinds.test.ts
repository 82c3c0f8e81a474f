import { item } from './testing/facts.js';
import { METERS } from './trigger.js';
import type { Trigger } from './trigger.js';
import {
  cellOf,
  intervalOf,
  isDated,
  onMeterOf,
  parseTrigger,
  standsStill,
  TRIGGER_KINDS,
} from './triggerKinds.js';
import { otherItemOf, withOtherItem } from './triggers/everyNth.js';

/** One of each kind. */
const ONE_OF: { readonly [K in Trigger['kind']]: Extract<Trigger, { kind: K }> } = {
  firstHours: { kind: 'firstHours', hours: 5, meter: 'engine' },
  firstCalendar: { kind: 'firstCalendar', count: 1, unit: 'month', inUse: null },
  everyHours: { kind: 'everyHours', hours: 50, meter: 'loader', grid: 'onMeter' },
  everyCalendar: { kind: 'everyCalendar', count: 7, unit: 'day', inUse: true },
  seasonEdge: { kind: 'seasonEdge', season: 'Mowing', edge: 'last', offsetDays: -14 },
  everyNth: { kind: 'everyNth', n: 2, itemId: 'oil', everyTimeAboveHours: 300 },
  storage: { kind: 'storage', days: 30 },
};
const ALL = TRIGGER_KINDS.map((kind) => ONE_OF[kind]);

/** Fields that make one of a kind wrong, and what is said of it. */
const WRONG: readonly (readonly [Trigger['kind'], object, string])[] = [
  ['firstHours', { hours: 0 }, 'hours'],
  ['firstHours', { hours: 20_001 }, 'hours'],
  ['firstHours', { hours: '5' }, 'hours'],
  ['firstHours', { meter: 'winch' }, 'meter'],
  ['everyHours', { hours: Infinity }, 'hours'],
  ['everyHours', { meter: 7 }, 'meter'],
  ['everyHours', { grid: 'sometimes' }, 'grid'],
  ['firstCalendar', { count: 0 }, 'count'],
  ['firstCalendar', { count: 1.5 }, 'count'],
  ['everyCalendar', { count: 3651 }, 'count'],
  ['everyCalendar', { unit: 'week' }, 'unit'],
  ['everyCalendar', { inUse: 'yes' }, 'inUse'],
  // Months are about age, whatever the machine does.
  ['everyCalendar', { unit: 'month', inUse: true }, 'inUse'],
  ['seasonEdge', { season: ' ' }, 'season'],
  ['seasonEdge', { season: 'x'.repeat(81) }, 'season'],
  ['seasonEdge', { edge: 'middle' }, 'season'],
  ['seasonEdge', { offsetDays: 181 }, 'offset'],
  ['seasonEdge', { offsetDays: 0.5 }, 'offset'],
  ['everyNth', { n: 1 }, 'nth'],
  ['everyNth', { n: 51 }, 'nth'],
  ['everyNth', { itemId: '' }, 'nth'],
  ['everyNth', { everyTimeAboveHours: 0 }, 'nth'],
  ['storage', { days: 0 }, 'storage'],
  ['storage', { days: 367 }, 'storage'],
];

describe('a kind of trigger', () => {
  it.each(ALL)('$kind: is read as it was written, and nothing beside it', (trigger) => {
    expect(parseTrigger(JSON.parse(JSON.stringify(trigger)))).toEqual({ trigger });
    expect(parseTrigger({ ...trigger, colour: 'red' })).toEqual({ trigger });
  });

  it.each(WRONG)('%s with %j is none: %s', (kind, fields, fault) => {
    expect(parseTrigger({ ...ONE_OF[kind], ...fields })).toEqual({ fault });
  });

  it.each(TRIGGER_KINDS)('%s has a field that may be wrong', (kind) => {
    expect(WRONG.filter(([each]) => each === kind)).not.toEqual([]);
  });

  it.each([null, undefined, 7, 'everyHours', [], [ONE_OF.storage], {}, { kind: 'constructor' }, { kind: 3 }])(
    'is not %j',
    (value) => {
      expect(parseTrigger(value)).toEqual({ fault: 'kind' });
    },
  );

  it('takes for the usual what is not said', () => {
    expect(parseTrigger({ kind: 'everyHours', hours: 50 })).toEqual({
      trigger: { kind: 'everyHours', hours: 50, meter: 'engine', grid: null },
    });
    expect(parseTrigger({ kind: 'everyCalendar', count: 1, unit: 'day' })).toEqual({
      trigger: { kind: 'everyCalendar', count: 1, unit: 'day', inUse: null },
    });
    expect(parseTrigger({ kind: 'seasonEdge', edge: 'first', offsetDays: 0 })).toEqual({
      trigger: { kind: 'seasonEdge', season: null, edge: 'first', offsetDays: 0 },
    });
  });

  it('stands still with the machine where it counts running, days in use, or goes with what does', () => {
    const still = (finds: boolean) =>
      ALL.filter((trigger) =>
        standsStill(trigger, item('x', ALL.slice(0, 6)), () => ({
          completions: [],
          limitsAhead: () => null,
          standsStill: () => finds,
        })),
      );
    expect(still(true).map(({ kind }) => kind)).toEqual([
      'firstHours',
      'everyHours',
      'everyCalendar',
      'everyNth',
    ]);
    expect(still(false).map(({ kind }) => kind)).toEqual(['firstHours', 'everyHours', 'everyCalendar']);
  });

  it('has a cell of a chart where it counts as its columns do', () => {
    const cells = (trigger: Trigger) => METERS.filter((meter) => cellOf(trigger, meter) !== null);
    expect(cells(ONE_OF.firstHours)).toEqual(['engine']);
    expect(cells({ ...ONE_OF.everyHours, grid: null })).toEqual(['loader']);
    expect(cells(ONE_OF.everyHours)).toEqual([]);
    expect(cells(ONE_OF.firstCalendar)).toEqual(METERS);
    expect(cells(ONE_OF.everyCalendar)).toEqual([]);
    for (const other of [ONE_OF.seasonEdge, ONE_OF.everyNth, ONE_OF.storage])
      expect(cells(other)).toEqual([]);
  });

  it('has an interval where it comes again, in hours of its meter or in days', () => {
    const lengths = ALL.map((trigger) => [
      trigger.kind,
      intervalOf(trigger)?.of,
      intervalOf(trigger)?.length,
    ]);
    expect(lengths.filter(([, of]) => of)).toEqual([
      ['everyHours', 'hours loader', 50],
      ['everyCalendar', 'days', 7],
    ]);
    // A year of the Gregorian calendar has 365.2425 days.
    expect(intervalOf({ kind: 'everyCalendar', count: 12, unit: 'month', inUse: null })?.length).toBe(
      365.2425,
    );
    const double = (count: number) => count * 2.5;
    expect(intervalOf(ONE_OF.everyHours)?.scaled(double)).toEqual({ ...ONE_OF.everyHours, hours: 125 });
    // There is no half of a day.
    expect(intervalOf(ONE_OF.everyCalendar)?.scaled(double)).toEqual({ ...ONE_OF.everyCalendar, count: 17 });
    expect(intervalOf(ONE_OF.everyCalendar)?.scaled(() => 0.3)).toMatchObject({ count: 1 });
  });

  it('stands on its meter: running-in once and at its hours, the regular one sooner under hard conditions', () => {
    const points = ALL.map((trigger) => onMeterOf(trigger, { dutyFactor: 0.5 }));
    expect(points.filter((point) => point !== null)).toEqual([
      { meter: 'engine', hours: 5, isOnce: true },
      { meter: 'loader', hours: 25, isOnce: false },
    ]);
  });

  it('is dated where the calendar brings it again and again', () => {
    expect(ALL.filter(isDated).map(({ kind }) => kind)).toEqual(['everyCalendar', 'seasonEdge']);
  });

  it('goes with another item, which may be called otherwise, or with none', () => {
    expect(ALL.map(otherItemOf).filter(Boolean)).toEqual(['oil']);
    const renamed = ALL.map((trigger) => withOtherItem(trigger, (id) => `${id} and filter`));
    expect(renamed).toEqual(
      ALL.map((trigger) => ('itemId' in trigger ? { ...trigger, itemId: 'oil and filter' } : trigger)),
    );
  });
});
