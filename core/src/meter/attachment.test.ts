import { civilDate } from '../calendar/civilDate.js';
import type { UsageModel } from '../usage/usageModel.js';
import { lifeHours } from './lifeHours.js';
import { sharedUsage, shareOf } from './attachment.js';

const DAY = civilDate('2027-05-13');
/** A loader that works a fifth of the time: fitted at 500 h of the engine, with 40 h behind it. */
const LOADER = { kind: 'share', share: 0.2, hoursAtStart: 40, engineAtStart: 500 } as const;
const asked: number[] = [];
const engine = (over: Partial<UsageModel> = {}): UsageModel => ({
  hoursPerWeek: 15,
  plannedPerWeek: 20,
  dateReached(hours) {
    asked.push(hours);
    return { earlyOn: DAY, expectedOn: DAY, lateOn: null };
  },
  lifeOn: () => ({ low: 510, expected: 520, high: 540 }),
  mostLikelyLife: () => lifeHours(530),
  ...over,
});

describe('an attachment that works a share of the engine’s hours', () => {
  it('stands where the share has brought it, and never below nothing', () => {
    expect(shareOf(LOADER, 600)).toBe(60);
    expect(shareOf(LOADER, 500)).toBe(40);
    expect(shareOf({ ...LOADER, hoursAtStart: 0 }, 100)).toBe(0);
  });

  it('runs its share of the engine’s hours a week, where those are known', () => {
    expect(sharedUsage(LOADER, engine())).toMatchObject({ hoursPerWeek: 3, plannedPerWeek: 4 });
    const unknown = sharedUsage(LOADER, engine({ hoursPerWeek: null, plannedPerWeek: null }));
    expect([unknown.hoursPerWeek, unknown.plannedPerWeek]).toEqual([null, null]);
  });

  it('reaches its hours when the engine reaches what stands for them; one that never works never does', () => {
    asked.length = 0;
    expect(sharedUsage(LOADER, engine()).dateReached(60).expectedOn).toBe(DAY);
    expect(asked).toEqual([600]);
    const idle = sharedUsage({ ...LOADER, share: 0 }, engine());
    expect(idle.dateReached(60)).toEqual({ earlyOn: null, expectedOn: null, lateOn: null });
    expect(asked).toEqual([600]);
  });

  it('is expected on a day where the engine’s range puts it', () => {
    const { lifeOn, mostLikelyLife } = sharedUsage(LOADER, engine());
    expect(lifeOn(DAY)).toEqual({ low: 42, expected: 44, high: 48 });
    expect(mostLikelyLife(DAY)).toBe(46);
    const unknown = sharedUsage(LOADER, engine({ lifeOn: () => null, mostLikelyLife: () => null }));
    expect([unknown.lifeOn(DAY), unknown.mostLikelyLife(DAY)]).toEqual([null, null]);
  });
});
