import { DEFAULT_FIGURES, figureWords } from './houseFigures.js';
import type { HouseFigures } from './houseFigures.js';
import { DEFAULT_RULES, HOUSE_RULES, withDefaults } from './houseRules.js';
import type { HouseRule, HouseRuleKey, HouseRules } from './houseRules.js';

/** A way of a house rule in one word: `filterTightness.hand`. */
export type HouseWay = {
  [K in HouseRuleKey]: `${K}.${HouseRules[K]}`;
}[HouseRuleKey];

const RULES: readonly HouseRule[] = HOUSE_RULES;

/** Rules that belong to a visit as a whole, not to a machine. */
const OF_THE_SHOP: readonly string[] = ['annual'] satisfies HouseRuleKey[];

/** Every way that a machine may have for itself, with its words. */
export const HOUSE_WAYS: ReadonlyMap<string, string> = new Map(
  RULES.filter(({ key }) => !OF_THE_SHOP.includes(key)).flatMap((rule) =>
    rule.options.map((option) => [`${rule.key}.${option.key}`, `${rule.question} ${option.words}`] as const),
  ),
);

export function isHouseWay(value: unknown): value is HouseWay {
  return typeof value === 'string' && HOUSE_WAYS.has(value);
}

/** A way in which one machine differs from the house rules. */
export interface OwnWay {
  readonly way: HouseWay;
  readonly why: string;
}

/** How it is done in a shop: its rules, its figures, and where one machine differs. */
export interface House {
  readonly rules: HouseRules;
  readonly figures: HouseFigures;
  /** where the machine at hand differs; the rules above already say so */
  readonly ways: readonly OwnWay[];
}

/** As shipped. */
export const DEFAULT_HOUSE: House = { rules: DEFAULT_RULES, figures: DEFAULT_FIGURES, ways: [] };

/** The rule that a way is one of. */
export function ruleOfWay(way: HouseWay): string {
  return way.slice(0, way.indexOf('.'));
}

/** The rules of the shop as they are on a machine with ways of its own; of two of one rule the last counts, and one that is no longer offered says nothing. */
export function rulesWithWays(rules: HouseRules, ways: readonly OwnWay[]): HouseRules {
  const offered = ways.filter(({ way }) => isHouseWay(way));
  const own = offered.map(({ way }) => [ruleOfWay(way), way.slice(way.indexOf('.') + 1)] as const);
  return withDefaults({ ...rules, ...Object.fromEntries(own) });
}

/** The chosen way of a rule in one sentence, as the sheet cites it; with the reason where the machine differs. */
export function ruleWords(key: HouseRuleKey, { rules, figures, ways }: House): string {
  const rule = RULES.find((each) => each.key === key);
  const words = rule?.options.find((each) => each.key === rules[key])?.words ?? '';
  const own = ways.findLast(({ way }) => ruleOfWay(way) === key);
  const said = figureWords(words, figures);
  return own ? `${said}, on this machine: ${own.why}` : said;
}
