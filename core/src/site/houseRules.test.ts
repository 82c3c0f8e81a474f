import { DEFAULT_RULES, HOUSE_RULES, REFUSED_PRACTICES, withDefaults } from './houseRules.js';
import type { HouseRule } from './houseRules.js';

const RULES: readonly HouseRule[] = HOUSE_RULES;

describe('the house rules', () => {
  it('each ask one thing, say what it changes, and give every way its reason', () => {
    expect(new Set(RULES.map(({ key }) => key)).size).toBe(RULES.length);
    for (const { key, question, changes, options } of RULES) {
      expect([key, question]).toEqual([key, expect.stringMatching(/\?$/)]);
      expect([key, changes]).toEqual([key, expect.stringMatching(/\.$/)]);
      expect([key, options.length > 1]).toEqual([key, true]);
      expect([key, new Set(options.map((option) => option.key)).size]).toEqual([key, options.length]);
      for (const { words, why } of options) {
        expect([key, words.length > 2, why]).toEqual([key, true, expect.stringMatching(/\.$/)]);
      }
    }
  });

  it('are the first of each until the shop says otherwise', () => {
    expect(withDefaults(null)).toEqual(DEFAULT_RULES);
    expect(withDefaults({})).toEqual(DEFAULT_RULES);
  });

  it('take over what is offered, and leave what is not, whatever was stored', () => {
    const stored = { prefill: 'never', drain: 'siphon', fillTarget: 7, colour: 'red' };
    expect(withDefaults(stored)).toEqual({ ...DEFAULT_RULES, prefill: 'never' });
  });

  it('offer none of the practices that are refused', () => {
    expect(REFUSED_PRACTICES.length).toBeGreaterThan(3);
    const offered = RULES.flatMap(({ options }) => options.map(({ words }) => words.toLowerCase()));
    for (const { practice, why } of REFUSED_PRACTICES) {
      expect(offered).not.toContain(practice.toLowerCase());
      expect(why).toMatch(/\.$/);
    }
  });
});
