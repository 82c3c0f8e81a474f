import { planFixture } from '../testing/plan.js';
import { publishedCards } from './cards.js';
import { changeLines, changesOf, withMachine } from './changes.js';
import { moneyOf, moveEffect, moveWords } from './moves.js';

const PLAN = planFixture();
const CARDS = publishedCards(PLAN);
const [MOWER, TRACTOR] = CARDS;
if (!MOWER || !TRACTOR) throw new Error('There are two cards.');
const NO_MONEY = () => '';

describe('a card on another day', () => {
  it('makes late what is due before it, and in time what was late', () => {
    // Both are due on the 14th.
    expect(moveEffect(PLAN, CARDS, MOWER, 8)).toMatchObject({
      late: ['Engine oil and filter', 'Air filter: clean'],
      inTime: [],
    });
    const late = { ...MOWER, day: 8 };
    expect(moveEffect(PLAN, [late, TRACTOR], late, 4)).toMatchObject({
      late: [],
      inTime: ['Engine oil and filter', 'Air filter: clean'],
    });
  });

  it('fills its day', () => {
    const days = PLAN.instance.days.map((each) => (each.day === 4 ? { ...each, bays: 1 } : each));
    const narrow = { ...PLAN, instance: { ...PLAN.instance, days } };
    expect(moveEffect(narrow, CARDS, MOWER, 4).isTooFull).toBe(true);
    expect(moveEffect(PLAN, CARDS, MOWER, 4).isTooFull).toBe(false);
  });

  it('cannot be on a day without a workshop', () => {
    expect(moveEffect(PLAN, CARDS, MOWER, 5).minutes).toBeNull();
  });

  it('costs as much more there as it saves on the way back', () => {
    const there = moveEffect(PLAN, CARDS, MOWER, 8).minutes ?? NaN;
    const moved = [{ ...MOWER, day: 8 }, TRACTOR];
    expect(Math.abs(there)).toBeGreaterThan(0);
    expect(moveEffect(PLAN, moved, { ...MOWER, day: 8 }, MOWER.day).minutes).toBe(-there);
  });

  it('is said in minutes and money, with what comes of it', () => {
    const effect = { minutes: 90, isTooFull: true, late: ['Oil'], inTime: [] };
    expect(moveWords(effect, moneyOf(PLAN, 'GBP'))).toBe(
      'It costs 90 min more, £45.00: work, lateness and life thrown away. Past its due day then: Oil. The day is too full then.',
    );
    const saves = { minutes: -6, isTooFull: false, late: [], inTime: ['Oil'] };
    expect(moveWords(saves, NO_MONEY)).toBe('It saves 6 min. In time then: Oil.');
    expect(moveWords({ ...saves, minutes: null, inTime: [] }, NO_MONEY)).toMatch(/^Not there/);
  });
});

describe('what a proposal changes', () => {
  const AFTER = [
    { ...MOWER, items: [0] },
    { ...MOWER, day: 8, items: [1] },
    { ...TRACTOR, isLocked: false },
  ];

  it('is told by machine, day by day', () => {
    const changes = changesOf(CARDS, AFTER);
    expect(changes.map((change) => changeLines(change, PLAN))).toEqual([
      ['Tue 11 May without Air filter: clean', 'Tue 18 May new: Air filter: clean'],
      ['Fri 14 May unlocked'],
    ]);
    expect(changeLines({ machine: 0, before: [MOWER], after: [] }, PLAN)).toEqual(['Tue 11 May taken back']);
    expect(changesOf(CARDS, CARDS.toReversed())).toEqual([]);
  });

  it('is left out for one machine, and taken over again', () => {
    const without = withMachine(AFTER, 0, CARDS);
    expect(changesOf(CARDS, without).map(({ machine }) => machine)).toEqual([1]);
    expect(changesOf(AFTER, withMachine(without, 0, AFTER))).toEqual([]);
  });
});
