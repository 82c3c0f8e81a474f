import type { Component, ComponentFuel } from '../component/components.js';
import { CATEGORIES, categoryOfWords, coversCategory } from './categories.js';
import type { Category } from './categories.js';
import { categoriesOf, kindsTaken } from './fluidKind.js';
import type { FluidKind } from './fluidKind.js';
import { coldCrankingLimit } from './viscosity.js';
import type { ApprovedGrade } from './viscosity.js';

/** What the label of a fluid says. */
export interface FluidTraits {
  readonly kind: FluidKind;
  /** such as 10W-30; '' where it has none */
  readonly grade: string;
  readonly categories: readonly Category[];
}

/** Where a fluid is to go. */
export interface FluidPlace {
  readonly component: Component;
  readonly fuel: ComponentFuel;
  /** what the card approves; none where it names none */
  readonly approved: readonly ApprovedGrade[];
  /** what the maker's own article for this place is; null where nobody said */
  readonly original: FluidTraits | null;
  /** °C, the coldest and warmest until the next change; null where that is not known */
  readonly expected: { readonly low: number; readonly high: number } | null;
}

/** What speaks against a fluid. */
export type FluidFault =
  /** the shelf does not say what it is */
  | { readonly code: 'unsaid' }
  | { readonly code: 'otherKind'; readonly kind: FluidKind; readonly takes: readonly FluidKind[] }
  /** an engine oil of the categories of the other fuel alone */
  | { readonly code: 'otherFuel'; readonly fuel: ComponentFuel }
  | { readonly code: 'otherCategory'; readonly wants: Category }
  /** the label names no category where one is wanted */
  | { readonly code: 'categoryUnsaid'; readonly wants: Category }
  /** the words of the card are not those of a known category */
  | { readonly code: 'categoryUnread'; readonly words: string }
  | { readonly code: 'otherGrade'; readonly grade: string; readonly approved: readonly string[] }
  | { readonly code: 'tooCold' | 'tooWarm'; readonly celsius: number; readonly limit: number };

/** Faults that stop: the crew lead alone goes on, with a reason that stays in the record. All others are to be looked at. */
const STOPS: ReadonlySet<FluidFault['code']> = new Set([
  'otherKind',
  'otherFuel',
  'otherCategory',
  'otherGrade',
]);

export type FluidVerdict = 'suits' | 'doubt' | 'stop';

export interface FluidJudgement {
  readonly verdict: FluidVerdict;
  readonly faults: readonly FluidFault[];
}

function gradeKey(grade: string): string {
  return grade.toUpperCase().replace(/^SAE/, '').replace(/[\s-]/g, '');
}

/** Whether two grades are the same however they are written: "SAE 10W30" and "10W-30". */
export function isSameGrade(a: string, b: string): boolean {
  return gradeKey(a) === gradeKey(b);
}

function kindFaults(traits: FluidTraits, { component, original }: FluidPlace): FluidFault[] {
  const takes = original ? [original.kind] : kindsTaken(component);
  return takes.includes(traits.kind) ? [] : [{ code: 'otherKind', kind: traits.kind, takes }];
}

function fuelFaults({ kind, categories }: FluidTraits, { component, fuel }: FluidPlace): FluidFault[] {
  if (component !== 'engineOil' || kind !== 'engineOil' || categories.length === 0) return [];
  const suits = categories.some((category) => CATEGORIES[category].family === fuel);
  return suits ? [] : [{ code: 'otherFuel', fuel }];
}

/** What a line of the card asks of the category: its own words, else those of the maker's own article. */
function categoryFaults(traits: FluidTraits, wanted: string, original: FluidTraits | null): FluidFault[] {
  const words = wanted.trim();
  const own = words ? categoryOfWords(words) : null;
  if (words && !own) return [{ code: 'categoryUnread', words }];
  // Any one of the categories of the maker's own article will do: its label names those of other uses too.
  const wants = own ? [own] : (original?.categories ?? []);
  const [first] = wants;
  if (!first) return [];
  if (traits.categories.length === 0) {
    return categoriesOf(traits.kind).length > 0 ? [{ code: 'categoryUnsaid', wants: first }] : [];
  }
  const covered = wants.some((want) => traits.categories.some((has) => coversCategory(has, want)));
  return covered ? [] : [{ code: 'otherCategory', wants: first }];
}

function temperatureFaults(
  { fromCelsius, toCelsius }: Pick<ApprovedGrade, 'fromCelsius' | 'toCelsius'>,
  expected: FluidPlace['expected'],
): FluidFault[] {
  if (!expected) return [];
  const faults: FluidFault[] = [];
  if (fromCelsius !== null && expected.low < fromCelsius)
    faults.push({ code: 'tooCold', celsius: expected.low, limit: fromCelsius });
  if (toCelsius !== null && expected.high > toCelsius)
    faults.push({ code: 'tooWarm', celsius: expected.high, limit: toCelsius });
  return faults;
}

function gradeFaults(
  traits: FluidTraits,
  { approved, original, expected, component }: FluidPlace,
): FluidFault[] {
  const own = approved.filter(({ grade }) => isSameGrade(grade, traits.grade));
  const [line] = own;
  if (line) {
    // A grade that stands there twice is approved by either line.
    const each = own.map(({ category }) => categoryFaults(traits, category, original));
    const least = each.reduce((best, faults) => (faults.length < best.length ? faults : best));
    return [...least, ...temperatureFaults(line, expected)];
  }
  const categories = categoryFaults(traits, approved[0]?.category ?? '', original);
  if (approved.length > 0)
    return [
      ...categories,
      { code: 'otherGrade', grade: traits.grade, approved: approved.map(({ grade }) => grade) },
    ];
  if (original?.grade && !isSameGrade(original.grade, traits.grade))
    return [...categories, { code: 'otherGrade', grade: traits.grade, approved: [original.grade] }];
  const limit = component === 'engineOil' ? coldCrankingLimit(traits.grade) : null;
  return [...categories, ...temperatureFaults({ fromCelsius: limit, toCelsius: null }, expected)];
}

/**
 * Whether a fluid may go into a component: by its kind, the fuel of the engine, the category and grade that the card approves, else
 * those of the maker's own article, and by the temperatures until the next change. `traits` null where the shelf does not say what it is.
 */
export function judgeFluid(traits: FluidTraits | null, place: FluidPlace): FluidJudgement {
  if (!traits) return { verdict: 'doubt', faults: [{ code: 'unsaid' }] };
  const ofKind = kindFaults(traits, place);
  // What is of another kind has no grade or category to be compared.
  const faults = ofKind.length ? ofKind : [...fuelFaults(traits, place), ...gradeFaults(traits, place)];
  return judgementOf(faults);
}

function judgementOf(faults: readonly FluidFault[]): FluidJudgement {
  const verdict = faults.some(isStop) ? 'stop' : faults.length ? 'doubt' : 'suits';
  return { verdict, faults };
}

/** The same of a fluid for which somebody answered: nothing stops it, what is to be looked at stays. */
export function answeredFor({ faults }: FluidJudgement): FluidJudgement {
  return judgementOf(faults.filter((fault) => !isStop(fault)));
}

/** Whether a fault stops. */
export function isStop({ code }: FluidFault): boolean {
  return STOPS.has(code);
}
