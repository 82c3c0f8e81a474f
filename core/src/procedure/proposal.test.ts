import type { DueAnswer } from '../schedule/due.js';
import type { DueState } from '../schedule/dueState.js';
import { civilDate } from '../calendar/civilDate.js';
import { withDefaults } from '../site/houseRules.js';
import { every, item } from '../schedule/testing/facts.js';
import { proposeItems, yearlyVisitOn } from './proposal.js';
import { setUp, TRACTOR, work } from './testing/jobs.js';

const HOSES = work('Radiator hoses and clamps: look over', 'inspect', 'radiatorHoses');
const AIR = work('Primary air element: replace', 'replace', 'airFilter');
const FUEL = work('Fuel filter: clean, bleed', 'clean', 'fuelFilter');
const TYRES = work('Tyre pressures', 'inspect', 'tyres');
const ITEMS = [HOSES, AIR, FUEL, TYRES];

function answers(states: Record<string, readonly [DueState, number]>): DueAnswer[] {
  return ITEMS.map(({ id }) => {
    const [state, used] = states[id] ?? ['fine', 0.1];
    return { item: { id }, state, deciding: { used } } as unknown as DueAnswer;
  });
}

const propose = (states: Record<string, readonly [DueState, number]>) =>
  proposeItems(answers(states), setUp(ITEMS, TRACTOR)).map(({ itemId, reason }) => [itemId, reason.kind]);

describe('what is worth doing in a visit', () => {
  it('is all that is due or ripe, and nothing else where nothing is opened', () => {
    expect(propose({ [TYRES.id]: ['overdue', 1.2], [HOSES.id]: ['coming', 0.9] })).toEqual([
      [TYRES.id, 'due'],
    ]);
  });

  it('is also what lies under an open hood, if little of its interval is thrown away', () => {
    // Opening and closing the hood is 4 min. The air element is 6 min of work: 10 % thrown away is 0.6 min.
    const due = { [HOSES.id]: ['ripe', 0.97] as const };
    expect(propose({ ...due, [AIR.id]: ['coming', 0.9] })).toEqual([
      [HOSES.id, 'ripe'],
      [AIR.id, 'openAlready'],
    ]);
    // A fifth of the life of a new part is too much to throw away; of a cleaning it is not.
    expect(propose({ ...due, [AIR.id]: ['fine', 0.8] })).toEqual([[HOSES.id, 'ripe']]);
    expect(propose({ [AIR.id]: ['ripe', 0.97], [HOSES.id]: ['fine', 0.8] })).toEqual([
      [AIR.id, 'ripe'],
      [HOSES.id, 'openAlready'],
    ]);
  });

  it('is also what ran out of hours before the machine came to rest, though it waits for nobody until spring', () => {
    const resting = (deciding: object) =>
      proposeItems(
        ITEMS.map(({ id }) => ({
          item: { id },
          state: id === AIR.id ? 'resting' : 'fine',
          deciding: id === AIR.id ? deciding : { used: 0.1 },
        })) as unknown as DueAnswer[],
        setUp(ITEMS, TRACTOR),
      ).map(({ itemId, reason }) => [itemId, reason.kind]);
    const hours = { kind: 'hours', used: 1.1, overdue: true, ripe: true };
    expect(resting(hours)).toEqual([[AIR.id, 'due']]);
    expect(resting({ ...hours, used: 0.97, overdue: false })).toEqual([[AIR.id, 'ripe']]);
    expect(resting({ ...hours, used: 0.5, overdue: false, ripe: false })).toEqual([]);
    // A weekly look is not owed for the weeks of rest.
    expect(resting({ ...hours, kind: 'calendar' })).toEqual([]);
  });

  it('says what is open and what it saves', () => {
    const [, along] = proposeItems(
      answers({ [FUEL.id]: ['overdue', 1.1], [AIR.id]: ['fine', 0.9] }),
      setUp(ITEMS, TRACTOR),
    );
    expect(along).toEqual({
      itemId: AIR.id,
      reason: {
        kind: 'openAlready',
        access: ['hood off'],
        savedMinutes: 4,
        thrownAway: expect.closeTo(0.1, 9),
      },
    });
  });

  it('leaves a resting item to rest', () => {
    expect(propose({ [HOSES.id]: ['ripe', 1], [AIR.id]: ['resting', 0.95] })).toEqual([[HOSES.id, 'ripe']]);
  });
});

describe('the yearly service', () => {
  const oil = work('Engine oil and filter', 'replace', 'engineOil', 'engineOilFilter');
  const plugs = work('Spark plugs: replace', 'replace', 'sparkPlugs');
  const answer = ({ id, components }: typeof oil, used: number): DueAnswer =>
    ({
      item: item(id, [every(12, 'month')], { components }),
      state: 'fine',
      deciding: { used },
    }) as unknown as DueAnswer;
  const propose = (annual: string, visit: 'autumn' | 'spring' | null, usedOfPlugs = 0.7) =>
    proposeItems(
      [answer(oil, 0.6), answer(plugs, usedOfPlugs)],
      setUp([oil, plugs], { rules: withDefaults({ annual }) }),
      visit,
    ).map(({ itemId }) => itemId);

  it('is proposed when the house rule has it, for what is half used up at least', () => {
    expect(propose('autumn', 'autumn')).toEqual([oil.id, plugs.id]);
    expect(propose('autumn', 'autumn', 0.3)).toEqual([oil.id]);
    expect(propose('autumn', 'spring')).toEqual([]);
    expect(propose('spring', 'spring')).toEqual([oil.id, plugs.id]);
    expect(propose('spring', null)).toEqual([]);
  });

  it('split is oil and fuel in autumn, the rest in spring', () => {
    expect(propose('split', 'autumn')).toEqual([oil.id]);
    expect(propose('split', 'spring')).toEqual([plugs.id]);
  });

  it('is near the end of the work, and near its beginning', () => {
    const on = (today: string, working: Parameters<typeof yearlyVisitOn>[1]) =>
      yearlyVisitOn(civilDate(today), working);
    const until = civilDate('2026-10-24');
    expect(on('2026-10-01', { kind: 'working', until })).toBe('autumn');
    expect(on('2026-08-01', { kind: 'working', until })).toBeNull();
    const rest = { kind: 'laidUp', since: civilDate('2026-10-25'), until: civilDate('2027-04-06') } as const;
    expect(on('2026-11-20', rest)).toBe('autumn');
    expect(on('2027-01-10', rest)).toBeNull();
    expect(on('2027-03-10', rest)).toBe('spring');
    expect(on('2027-03-10', { kind: 'unplanned' })).toBeNull();
  });
});
