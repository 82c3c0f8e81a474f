import {
  DEFAULT_FIGURES,
  figuresWithDefaults,
  figureWords,
  HOUSE_FIGURES,
  isHouseFigures,
} from './houseFigures.js';
import type { HouseFigure } from './houseFigures.js';
import { DEFAULT_RULES, HOUSE_RULES } from './houseRules.js';
import { DEFAULT_HOUSE, HOUSE_WAYS, isHouseWay, rulesWithWays, ruleWords } from './ownWays.js';
import type { OwnWay } from './ownWays.js';

describe("the crew's own figures", () => {
  it('are as shipped until others are chosen, and never beyond what is allowed', () => {
    expect(DEFAULT_FIGURES).toEqual({ snugDegrees: 90, shadeShare: 0.1, restGoodVolts: 12.4 });
    expect(figuresWithDefaults({ snugDegrees: 60, shadeShare: 'much', restGoodVolts: 12.1 })).toEqual({
      ...DEFAULT_FIGURES,
      snugDegrees: 60,
    });
    for (const { key, least, most } of HOUSE_FIGURES as readonly HouseFigure[]) {
      for (const value of [least, most])
        expect([key, isHouseFigures({ ...DEFAULT_FIGURES, [key]: value })]).toEqual([key, true]);
      for (const value of [least - 0.01, most + 0.01, NaN, null])
        expect([key, value, isHouseFigures({ ...DEFAULT_FIGURES, [key]: value })]).toEqual([
          key,
          value,
          false,
        ]);
    }
    expect(isHouseFigures({ ...DEFAULT_FIGURES, more: 1 })).toBe(false);
  });

  it('stand in the words of the rules, each under a key that there is', () => {
    const all = HOUSE_RULES.flatMap(({ options }) => options.map(({ words }): string => words));
    const said = all.map((words) => figureWords(words, DEFAULT_FIGURES));
    expect(said.filter((words) => /[{}]/.test(words))).toEqual([]);
    expect(said).toContain('By hand, then 90° more with the wrench');
  });
});

describe('a machine that differs from the house', () => {
  const hand: OwnWay = { way: 'filterTightness.hand', why: 'its filter housing is plastic' };

  it('has its own way of that rule alone, and says why', () => {
    const rules = rulesWithWays(DEFAULT_RULES, [hand]);
    expect(rules).toEqual({ ...DEFAULT_RULES, filterTightness: 'hand' });
    const house = { ...DEFAULT_HOUSE, rules, ways: [hand] };
    expect(ruleWords('filterTightness', house)).toBe(
      'Hand-tight, on this machine: its filter housing is plastic',
    );
    expect(ruleWords('fillTarget', house)).toBe('To the full mark, in two stages');
  });

  it('follows the house where its way is no longer offered', () => {
    const gone = { way: 'filterTightness.wrench', why: 'as ever' } as unknown as OwnWay;
    const house = { ...DEFAULT_RULES, filterTightness: 'snug' } as const;
    expect(rulesWithWays(house, [gone]).filterTightness).toBe('snug');
  });

  it('takes the last of two ways of one rule', () => {
    const turn: OwnWay = { way: 'filterTightness.snug', why: 'it came loose' };
    expect(rulesWithWays(DEFAULT_RULES, [hand, turn]).filterTightness).toBe('snug');
  });

  it('may differ in every rule of the work, and in nothing else', () => {
    const rules = new Set([...HOUSE_WAYS.keys()].map((way) => way.split('.')[0]));
    expect(HOUSE_RULES.map(({ key }) => key).filter((key) => !rules.has(key))).toEqual(['annual']);
    for (const way of ['annual.autumn', 'filterTightness', 'filterTightness.tight', 'hand', '', null])
      expect([way, isHouseWay(way)]).toEqual([way, false]);
    expect(isHouseWay('greasing.strokes')).toBe(true);
  });
});
