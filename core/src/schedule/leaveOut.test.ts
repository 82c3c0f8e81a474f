import { civilDate } from '../calendar/civilDate.js';
import { CONSEQUENCES } from '../component/consequence.js';
import { ACTIONS } from './item.js';
import { afterNext, mayLeaveOutNext } from './leaveOut.js';
import { answerOn, done, every, everyHours, item, judged } from './testing/facts.js';

const lifeOn = (meter: string) => (meter === 'engine' ? 300 : null);

describe('a check whose next time may be left out', () => {
  it('is one that is looked at or tightened, by the house rule, cannot ruin a machine, and is out of warranty', () => {
    const allowed = ACTIONS.flatMap((action) =>
      CONSEQUENCES.flatMap((consequence) =>
        (['everyTime', 'mayLeaveOut'] as const).flatMap((recheck) =>
          [true, false].flatMap((isHeld) =>
            mayLeaveOutNext({ action, consequence }, { recheck }, isHeld)
              ? [`${action} ${consequence} ${recheck} ${isHeld}`]
              : [],
          ),
        ),
      ),
    );
    expect(allowed).toEqual([
      'inspect wear mayLeaveOut false',
      'inspect care mayLeaveOut false',
      'tighten wear mayLeaveOut false',
      'tighten care mayLeaveOut false',
    ]);
  });

  it('is due after two of its intervals, on each of its scales', () => {
    const on = civilDate('2027-05-13');
    expect(afterNext(item('i', [everyHours(50)]), on, lifeOn)).toEqual({
      untilLife: 400,
      untilMeter: 'engine',
      untilOn: null,
    });
    // Dust halves the hours: 2 x 25.
    expect(
      afterNext({ ...item('i', [everyHours(50), every(6, 'month')]), dutyFactor: 0.5 }, on, lifeOn),
    ).toEqual({
      untilLife: 350,
      untilMeter: 'engine',
      untilOn: '2028-05-13',
    });
  });

  it('has no such point where another of its limits would be forgotten by it', () => {
    const on = civilDate('2027-05-13');
    const edge = { kind: 'seasonEdge', season: 'mowing', edge: 'first', offsetDays: 0 } as const;
    expect(afterNext(item('i', [everyHours(50), edge]), on, lifeOn)).toBeNull();
    expect(
      afterNext(item('i', [everyHours(50), everyHours(10, { meter: 'loader' })]), on, lifeOn),
    ).toBeNull();
    const first = { kind: 'firstHours', hours: 5, meter: 'engine' } as const;
    expect(afterNext(item('i', [first, everyHours(50)]), on, lifeOn)?.untilLife).toBe(400);
  });

  it('has no such point where it has no regular interval, or no meter to count it on', () => {
    const on = civilDate('2027-05-13');
    expect(afterNext(item('i', [{ kind: 'storage', days: 30 }]), on, lifeOn)).toBeNull();
    expect(afterNext(item('i', [everyHours(50, { meter: 'loader' })]), on, lifeOn)).toBeNull();
  });
});

describe('a check that came out clean and leaves out the next', () => {
  const dueAt = (...points: [string, number][]) => {
    const extensions = [judged('leftOut', ['2027-03-01', 300], 400, null)];
    const history = { belts: { ...done(...points), extensions } };
    const items = [item('belts', [everyHours(50)])];
    const { limits } = answerOn('2027-03-02', 'belts', { items, history });
    return limits.map((limit) => (limit.kind === 'hours' ? limit.at : limit.on));
  };

  it('is due at its re-check point, though it was done at the same hours', () => {
    expect(dueAt(['2027-03-01', 300])).toEqual([400]);
  });

  it('counts as the book says once it is done again', () => {
    expect(dueAt(['2027-03-01', 300], ['2027-03-02', 310])).toEqual([360]);
  });
});
