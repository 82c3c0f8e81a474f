import type { Component } from '../component/components.js';
import type { HouseRules } from '../site/houseRules.js';
import type { MakerNumber } from './makerNumbers.js';
import { isSuperseding, sharesNumber } from './makerNumbers.js';

/** What is measured on a filter; mm, and kPa at which its bypass opens. Null or '' where nobody measured. */
export interface FilterTraits {
  readonly height: number | null;
  readonly outside: number | null;
  readonly gasket: number | null;
  /** such as 3/4-16 UNF */
  readonly thread: string;
  readonly bypass: number | null;
}

/** What is measured on a spark plug; mm. */
export interface PlugTraits {
  readonly reach: number | null;
  readonly thread: string;
  /** across the hexagon */
  readonly hexagon: number | null;
}

export type FilterTrait = keyof FilterTraits;
export type PlugTrait = keyof PlugTraits;

/** How a figure of a substitute stands against the original's. */
export type TraitStand = 'same' | 'larger' | 'smaller' | 'other' | 'unknown';

export interface TraitLine {
  readonly trait: FilterTrait | PlugTrait;
  readonly original: number | string | null;
  readonly candidate: number | string | null;
  readonly stand: TraitStand;
  readonly verdict: 'suits' | 'ask' | 'refuse';
}

/** How far a figure may be off and still be the same, and what it comes to where it is not. Common practice throughout. */
interface FigureRule {
  /** of its unit */
  readonly within: number;
  readonly larger: TraitLine['verdict'];
  readonly smaller: TraitLine['verdict'];
}

/** A filter that is smaller filters less and holds less; another gasket does not seal. */
const FILTER_RULES: Record<Exclude<FilterTrait, 'thread'>, FigureRule> = {
  height: { within: 1, larger: 'suits', smaller: 'refuse' },
  outside: { within: 1, larger: 'suits', smaller: 'refuse' },
  gasket: { within: 0.5, larger: 'refuse', smaller: 'refuse' },
  bypass: { within: 10, larger: 'ask', smaller: 'ask' },
};

/** A plug that reaches further meets the piston, a shorter one fouls; another hexagon asks for another socket. */
const PLUG_RULES: Record<Exclude<PlugTrait, 'thread'>, FigureRule> = {
  reach: { within: 0.5, larger: 'refuse', smaller: 'refuse' },
  hexagon: { within: 0.5, larger: 'ask', smaller: 'ask' },
};

function figureLine(
  trait: TraitLine['trait'],
  rule: FigureRule,
  original: number | null,
  candidate: number | null,
): TraitLine {
  if (original === null || candidate === null)
    return { trait, original, candidate, stand: 'unknown', verdict: 'ask' };
  const more = candidate - original;
  if (Math.abs(more) <= rule.within) return { trait, original, candidate, stand: 'same', verdict: 'suits' };
  return more > 0
    ? { trait, original, candidate, stand: 'larger', verdict: rule.larger }
    : { trait, original, candidate, stand: 'smaller', verdict: rule.smaller };
}

function threadKey(thread: string): string {
  return thread.toUpperCase().replace(/[\s-]/g, '').replaceAll('×', 'X');
}

function threadLine(original: string, candidate: string): TraitLine {
  const trait = 'thread';
  if (!original || !candidate) return { trait, original, candidate, stand: 'unknown', verdict: 'ask' };
  return threadKey(original) === threadKey(candidate)
    ? { trait, original, candidate, stand: 'same', verdict: 'suits' }
    : { trait, original, candidate, stand: 'other', verdict: 'refuse' };
}

/** A filter beside the original, figure by figure. */
export function compareFilters(original: FilterTraits, candidate: FilterTraits): TraitLine[] {
  const line = (trait: Exclude<FilterTrait, 'thread'>) =>
    figureLine(trait, FILTER_RULES[trait], original[trait], candidate[trait]);
  const lines = [
    line('height'),
    line('outside'),
    line('gasket'),
    threadLine(original.thread, candidate.thread),
  ];
  const bypass = line('bypass');
  // "If known": a bypass that is written nowhere is not asked for.
  return original.bypass === null || candidate.bypass === null ? lines : [...lines, bypass];
}

/** A spark plug beside the original, figure by figure. The gap is set at the machine, whatever the plug comes with. */
export function comparePlugs(original: PlugTraits, candidate: PlugTraits): TraitLine[] {
  return [
    figureLine('reach', PLUG_RULES.reach, original.reach, candidate.reach),
    threadLine(original.thread, candidate.thread),
    figureLine('hexagon', PLUG_RULES.hexagon, original.hexagon, candidate.hexagon),
  ];
}

/** An article, as far as it may take the place of another. */
export interface Comparable {
  readonly component: Component | null;
  readonly makerNumbers: readonly MakerNumber[];
  readonly filter: FilterTraits | null;
  readonly plug: PlugTraits | null;
}

export interface SubstituteCase {
  readonly original: Comparable;
  readonly candidate: Comparable;
  readonly machine: { readonly make: string; readonly underWarranty: boolean };
  readonly partsRule: HouseRules['parts'];
}

/** Why an article may take the place of the original, or not. */
export type SubstituteReason =
  | 'superseded'
  | 'sameNumber'
  | 'figures'
  | 'figuresRefuse'
  | 'figuresUnknown'
  | 'notCompared'
  | 'otherComponent'
  | 'houseRuleWarranty'
  | 'houseRuleMaker';

export interface SubstituteJudgement {
  readonly verdict: 'accept' | 'ask' | 'refuse';
  readonly reason: SubstituteReason;
  /** figure by figure; none where nothing is measured on such a part */
  readonly lines: readonly TraitLine[];
}

function linesOf({ original, candidate }: SubstituteCase): TraitLine[] {
  if (original.filter && candidate.filter) return compareFilters(original.filter, candidate.filter);
  if (original.plug && candidate.plug) return comparePlugs(original.plug, candidate.plug);
  return [];
}

/** Why the house rule wants the maker's own on a machine; null where it does not. */
export function wantsMakers(
  partsRule: HouseRules['parts'],
  underWarranty: boolean,
): 'houseRuleWarranty' | 'houseRuleMaker' | null {
  if (partsRule === 'maker') return 'houseRuleMaker';
  return partsRule === 'makerInWarranty' && underWarranty ? 'houseRuleWarranty' : null;
}

function isMakers({ makerNumbers }: Comparable, make: string): boolean {
  const key = make.trim().toLowerCase();
  return key !== '' && makerNumbers.some(({ maker }) => maker.trim().toLowerCase() === key);
}

/**
 * Whether an article may take the place of the original. The maker's own succession is taken as it is; else the house rule speaks
 * first, then the figures: equal or larger suits, smaller or another thread is refused, and what nobody measured is to be looked at.
 */
export function judgeSubstitute(of: SubstituteCase): SubstituteJudgement {
  const { original, candidate, machine } = of;
  const lines = linesOf(of);
  if (original.component && candidate.component && original.component !== candidate.component)
    return { verdict: 'refuse', reason: 'otherComponent', lines: [] };
  if (isSuperseding(original.makerNumbers, candidate.makerNumbers))
    return { verdict: 'accept', reason: 'superseded', lines };
  if (sharesNumber(original.makerNumbers, candidate.makerNumbers))
    return { verdict: 'accept', reason: 'sameNumber', lines };
  const rule = wantsMakers(of.partsRule, of.machine.underWarranty);
  if (rule && !isMakers(candidate, machine.make)) return { verdict: 'refuse', reason: rule, lines };
  if (lines.some(({ verdict }) => verdict === 'refuse'))
    return { verdict: 'refuse', reason: 'figuresRefuse', lines };
  if (lines.length === 0) return { verdict: 'ask', reason: 'notCompared', lines };
  return lines.some(({ verdict }) => verdict === 'ask')
    ? { verdict: 'ask', reason: 'figuresUnknown', lines }
    : { verdict: 'accept', reason: 'figures', lines };
}
