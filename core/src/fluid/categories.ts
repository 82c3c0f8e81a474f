import { keysOf } from '../names/record.js';

/** What a category is given to. */
export type CategoryFamily = 'gasoline' | 'diesel' | 'gear' | 'brake' | 'coolant';

interface CategorySpec {
  readonly family: CategoryFamily;
  /** the categories that it is said to take the place of; what those take the place of follows */
  readonly covers: readonly string[];
}

/**
 * Service categories of fluids, and which takes the place of which.
 * Sources, from memory: API 1509 with the API Motor Oil Guide (a later S category holds for engines of an earlier one; what CF-4 to CK-4
 * are said to exceed; FA-4 is not backward compatible; nothing is said to cover CF), API 1560 (GL-4, GL-5),
 * 49 CFR 571.116 (boiling points of DOT 3, 4 and 5.1; DOT 5 is of silicone and does not mix). Coolants of different inhibitors are
 * not mixed, and GL-5 is not put where GL-4 is wanted: common practice.
 */
export const CATEGORIES = {
  'API SF': { family: 'gasoline', covers: [] },
  'API SG': { family: 'gasoline', covers: ['API SF'] },
  'API SH': { family: 'gasoline', covers: ['API SG'] },
  'API SJ': { family: 'gasoline', covers: ['API SH'] },
  'API SL': { family: 'gasoline', covers: ['API SJ'] },
  'API SM': { family: 'gasoline', covers: ['API SL'] },
  'API SN': { family: 'gasoline', covers: ['API SM'] },
  'API SN PLUS': { family: 'gasoline', covers: ['API SN'] },
  'API SP': { family: 'gasoline', covers: ['API SN PLUS'] },
  'API SQ': { family: 'gasoline', covers: ['API SP'] },
  'API CF': { family: 'diesel', covers: [] },
  'API CF-4': { family: 'diesel', covers: [] },
  'API CG-4': { family: 'diesel', covers: ['API CF-4'] },
  'API CH-4': { family: 'diesel', covers: ['API CG-4'] },
  'API CI-4': { family: 'diesel', covers: ['API CH-4'] },
  'API CI-4 PLUS': { family: 'diesel', covers: ['API CI-4'] },
  'API CJ-4': { family: 'diesel', covers: ['API CI-4 PLUS'] },
  'API CK-4': { family: 'diesel', covers: ['API CJ-4'] },
  'API FA-4': { family: 'diesel', covers: [] },
  'API GL-4': { family: 'gear', covers: [] },
  'API GL-5': { family: 'gear', covers: [] },
  'DOT 3': { family: 'brake', covers: [] },
  'DOT 4': { family: 'brake', covers: ['DOT 3'] },
  'DOT 5.1': { family: 'brake', covers: ['DOT 4'] },
  'DOT 5': { family: 'brake', covers: [] },
  'Coolant, inorganic (IAT)': { family: 'coolant', covers: [] },
  'Coolant, organic (OAT)': { family: 'coolant', covers: [] },
  'Coolant, hybrid (HOAT)': { family: 'coolant', covers: [] },
} as const satisfies Record<string, CategorySpec>;

export type Category = keyof typeof CATEGORIES;

/** All categories, in the order in which they are offered. */
export const CATEGORY_KEYS: readonly Category[] = keysOf(CATEGORIES);

function coveredBy(category: Category): readonly Category[] {
  return CATEGORIES[category].covers;
}

/** Whether a fluid of category `has` may go where `wants` is asked for. */
export function coversCategory(has: Category, wants: Category): boolean {
  return has === wants || coveredBy(has).some((earlier) => coversCategory(earlier, wants));
}

/** How cards and bottles write a category. */
function writings(category: Category): string[] {
  const short = category.replace(/^API /, '');
  return [category, short].flatMap((name) => [
    name,
    `${name} or later`,
    `${name} or better`,
    `${name} or higher`,
  ]);
}

const BY_WRITING: ReadonlyMap<string, Category> = new Map(
  CATEGORY_KEYS.flatMap((category) => writings(category).map((words) => [words.toLowerCase(), category])),
);

/** The category that some words of a card ask for, by their exact wording: "API SJ or later". Null where they are none of those known. */
export function categoryOfWords(words: string): Category | null {
  return BY_WRITING.get(words.trim().toLowerCase()) ?? null;
}
