import { addDays, civilDate } from '../calendar/civilDate.js';
import { instant } from '../calendar/instant.js';
import type { Attachment } from '../meter/attachment.js';
import { answerOn, done, every, everyHours, item, scheduleOn } from './testing/facts.js';
import type { Trigger } from './trigger.js';
import type { MachineStatus } from './workingTime.js';

/** Machines that rest, by season, by hand or out of service: one example by hand for each rule. */

const MOWS = { participation: [{ seasonId: 'mowing', hoursPerWeek: 7 }] };
const status = (kind: MachineStatus['kind'], since: string | null): MachineStatus => ({
  kind,
  since: since === null ? null : civilDate(since),
});

describe('a machine laid up by hand', () => {
  const grease = item('grease', [everyHours(10)]);
  const oil = item('oil', [everyHours(50), every(12, 'month')]);
  const readings = Array.from({ length: 10 }, (_, week) => {
    return [addDays(civilDate('2026-04-01'), 7 * week), 100 + 7 * week] as const;
  });
  const of = {
    ...MOWS,
    items: [grease, oil],
    readings,
    history: { grease: done(['2026-06-03', 163]), oil: done(['2026-04-01', 120]) },
  };

  it('is forecast no running on any meter', () => {
    const laidUp = { ...of, status: status('laidUp', '2026-06-05') };
    const schedule = scheduleOn('2026-06-05', laidUp);
    expect(schedule.usage.hoursPerWeek).toBe(0);
    expect(schedule.usage.lifeOn(civilDate('2026-09-01'))?.expected).toBeCloseTo(164, 0);
    // 7 h left of 50, a week at work: it would be coming. Laid up, the date of next April decides.
    expect(answerOn('2026-06-05', 'oil', of)).toMatchObject({ state: 'coming', deciding: { kind: 'hours' } });
    expect(answerOn('2026-06-05', 'oil', laidUp)).toMatchObject({
      state: 'fine',
      expectedOn: '2027-04-01',
    });
    expect(answerOn('2026-06-05', 'grease', laidUp)).toMatchObject({ state: 'resting', expectedOn: null });
  });

  it('rests in the same way out of service; nothing of a retired one is due', () => {
    const out = { ...of, status: status('outOfService', '2026-06-05') };
    expect(answerOn('2026-06-05', 'grease', out).state).toBe('resting');
    expect(scheduleOn('2026-06-05', { ...of, status: status('retired', '2026-06-05') }).answers).toEqual([]);
  });

  it('is in storage since its season ended, where that was before', () => {
    // The season ends on 24 October; laid up by hand on 10 November. 30 days from 25 October are 24 November.
    const battery = item('battery', [{ kind: 'storage', days: 30 }], { action: 'charge' });
    const at = (since: string) =>
      answerOn('2026-11-20', 'battery', { ...MOWS, items: [battery], status: status('laidUp', since) })
        .deciding;
    expect(at('2026-11-10')).toMatchObject({ on: '2026-11-24' });
    // Laid up within the season, on 1 October: 31 October.
    expect(at('2026-10-01')).toMatchObject({ on: '2026-10-31' });
  });

  it('without a day rests since it was last read', () => {
    const laidUp = { ...of, status: status('laidUp', null) };
    expect(answerOn('2026-06-05', 'grease', laidUp).state).toBe('resting');
    expect(scheduleOn('2026-09-05', laidUp).usage.lifeOn(civilDate('2026-09-05'))?.expected).toBe(163);
  });
});

describe('days in use', () => {
  const valve = item('valve', [every(7, 'day')], { action: 'clean' });
  const of = { ...MOWS, items: [valve], history: { valve: done(['2026-10-20', 100]) } };

  it('wait for the machine to work', () => {
    // Due on 27 October, but the season ends on the 24th: on the first day of the next, ripe the day before at the earliest.
    expect(answerOn('2026-10-24', 'valve', of)).toMatchObject({ state: 'fine', expectedOn: '2027-03-24' });
    expect(answerOn('2026-11-25', 'valve', of)).toMatchObject({ state: 'resting', expectedOn: '2027-03-24' });
    expect(answerOn('2027-03-24', 'valve', of)).toMatchObject({ state: 'ripe', deciding: { left: 0 } });
    expect(answerOn('2027-03-25', 'valve', of)).toMatchObject({ state: 'overdue', deciding: { left: -1 } });
  });

  it('count from the day of return after a lay-up by hand', () => {
    const back = { ...of, status: status('inService', '2027-05-10') };
    expect(answerOn('2027-05-10', 'valve', back)).toMatchObject({ state: 'ripe', expectedOn: '2027-05-10' });
    const away = { ...of, status: status('laidUp', '2027-04-01') };
    expect(answerOn('2027-05-09', 'valve', away)).toMatchObject({ state: 'resting', expectedOn: null });
  });

  it('are those up to 31 days that are not also done in storage; months are about age', () => {
    const winter = (triggers: Trigger[]) =>
      answerOn('2027-01-10', 'x', {
        ...MOWS,
        items: [item('x', triggers)],
        history: { x: done(['2026-10-20', 1]) },
      }).state;
    expect(winter([every(31, 'day')])).toBe('resting');
    expect(winter([every(32, 'day')])).toBe('overdue');
    expect(winter([every(1, 'month')])).toBe('overdue');
    expect(winter([every(31, 'day', false)])).toBe('overdue');
    expect(winter([every(60, 'day', true)])).toBe('resting');
    expect(winter([every(31, 'day'), { kind: 'storage', days: 300 }])).toBe('overdue');
  });
});

describe('an attachment with a meter of its own', () => {
  /** Ten hours a month from April to October, none in winter. */
  const months = [
    '2026-04-01',
    '2026-05-01',
    '2026-06-01',
    '2026-07-01',
    '2026-08-01',
    '2026-09-01',
    '2026-10-01',
  ];
  const loader: Attachment = {
    meter: 'loader',
    hours: {
      kind: 'own',
      hoursAtStart: 0,
      segments: [{ startsAt: instant('2026-04-01T00:00:00Z'), offset: 0 }],
      readings: [...months, '2026-10-24', '2027-04-05'].map((on, index) => ({
        at: instant(`${on}T12:00:00Z`),
        shown: Math.min(10 * index, 67) + (on > '2027' ? 3 : 0),
      })),
    },
  };
  const pins = item('pins', [everyHours(100, { meter: 'loader' })]);
  const of = { ...MOWS, items: [pins], attachments: [loader] };

  it('follows the plan of its machine over the winter', () => {
    // 70 h in April; 30 h more at ten a month are July. The average of the 90 days before, most of them winter, says December.
    const { expectedOn } = answerOn('2027-04-05', 'pins', of);
    expect(String(expectedOn) >= '2027-06-25' && String(expectedOn) <= '2027-07-20').toBe(true);
  });

  it('rests when the machine is laid up by hand', () => {
    const laidUp = { ...of, status: status('laidUp', '2027-04-06') };
    expect(scheduleOn('2027-04-20', laidUp).meters.get('loader')?.usage.hoursPerWeek).toBe(0);
    expect(answerOn('2027-04-20', 'pins', laidUp)).toMatchObject({ state: 'resting', expectedOn: null });
  });

  it('stands at its hours when it was fitted until it is read', () => {
    const unread: Attachment = {
      meter: 'loader',
      hours: {
        kind: 'own',
        hoursAtStart: 40,
        segments: loader.hours.kind === 'own' ? loader.hours.segments : [],
        readings: [],
      },
    };
    expect(scheduleOn('2027-04-20', { ...of, attachments: [unread] }).meters.get('loader')?.life).toBe(40);
  });
});
