import { COMPONENT_KEYS, componentSpec } from './components.js';
import type { Component } from './components.js';

/**
 * What books and cards called components while they were free text, by the exact words in lower case. Only what stands here is taken
 * over by itself; whatever else was written is left to the crew lead.
 */
const OLD_WORDS: Readonly<Record<string, readonly Component[]>> = {
  'engine oil and filter': ['engineOil', 'engineOilFilter'],
  'drain plug': ['engineDrainPlug'],
  'sump plugs, both': ['engineDrainPlug'],
  sump: ['engineDrainPlug'],
  'transmission oil, strainer and filter': ['transmissionOil', 'transmissionStrainer', 'transmissionFilter'],
  'hydro oil and filters': ['hydroOil', 'hydroFilters'],
  'hydraulic filter': ['hydraulicFilters'],
  transaxle: ['transaxleOil'],
  'air pre-filter foam': ['airPreFilter'],
  'air cleaner': ['airFilter'],
  'dust valve': ['dustValve'],
  'spark plug': ['sparkPlugs'],
  valves: ['valves'],
  cooling: ['radiatorScreen', 'coolant'],
  'coolant level': ['coolant'],
  'radiator hoses': ['radiatorHoses'],
  hydraulics: ['hydraulicHoses'],
  'loader hydraulics': ['loaderHydraulics'],
  loader: ['loaderPins'],
  belts: ['belts'],
  'fan belt, mid-span': ['fanBelt'],
  'deck belt, mid-span': ['deckBelt'],
  'belt, brakes and battery': ['fanBelt', 'brakePedals', 'battery'],
  'belts, battery and fins': ['belts', 'battery', 'coolingFins'],
  brakes: ['brakePedals'],
  'brake pedals, free play': ['brakePedals'],
  pedal: ['brakePedals'],
  'brakes and bed hinge': ['brakeLinkage', 'bedHinge'],
  'bed hinge': ['bedHinge'],
  wheels: ['wheelNuts', 'tyres'],
  'wheel nuts': ['wheelNuts'],
  'wheel bolts': ['wheelNuts'],
  'wheel bolts, front': ['wheelNuts'],
  'wheel bolts, rear': ['wheelNuts'],
  tyres: ['tyres'],
  blade: ['blades'],
  blades: ['blades'],
  deck: ['deck'],
  spindles: ['deckSpindles'],
  'axles and steering': ['axles', 'steering'],
  'axle and wheels': ['axles', 'wheelHubs'],
  'spindles and wheels': ['deckSpindles', 'wheelHubs'],
  axles: ['axles'],
  axle: ['axles'],
  'front axle pivot': ['axles'],
  'caster pivots': ['casters'],
  'caster wheels': ['casters'],
  'grease points': ['greasePoints'],
  'tractor grease points': ['greasePoints'],
  'safety start': ['safetyStart'],
  'safety switches': ['safetyStart'],
  beacon: ['lights'],
};

const BY_WORDS: ReadonlyMap<string, readonly Component[]> = new Map([
  ...COMPONENT_KEYS.filter((key) => key !== 'other').flatMap((key) => {
    const { words, also = [] } = componentSpec(key);
    return [words, ...also].map((each) => [each.toLowerCase(), [key]] as const);
  }),
  ...Object.entries(OLD_WORDS),
]);

function plain(words: string): string {
  return words.trim().toLowerCase().replace(/\s+/g, ' ');
}

/** The components that words of an older card or book stood for; null where nobody can tell but its author. */
export function componentsOfWords(words: string): readonly Component[] | null {
  return BY_WORDS.get(plain(words)) ?? null;
}

/** Lines of the books that came with older versions, whose names asked for more than their component. */
const OLD_NAMES: ReadonlyMap<string, readonly Component[]> = new Map<string, readonly Component[]>([
  ['deck: clean, grease spindles', ['deckSpindles', 'deck']],
  ['grease points, wheel bolts, safety-start switches', ['greasePoints', 'wheelNuts', 'safetyStart']],
]);

/** Filters that were changed with a fluid where only the name of the line said so. */
const WITH_FILTER: Partial<Record<Component, readonly Component[]>> = {
  engineOil: ['engineOilFilter'],
  transmissionOil: ['transmissionFilter'],
  hydroOil: ['hydroFilters'],
};

/** An older line of a book: free words for its component, and more of them in its name. */
export interface OldLine {
  readonly name: string;
  readonly action: string;
  readonly component: string;
}

/** The components of an older line; null where only its author can tell. What it did by its name, it goes on doing. */
export function componentsOfOldLine({ name, action, component }: OldLine): readonly Component[] | null {
  const whole = OLD_NAMES.get(plain(name));
  const own = componentsOfWords(component);
  if (!own) return null;
  const named = whole && own.every((each) => whole.includes(each)) ? whole : own;
  const filters =
    action === 'replace' && /filter/i.test(name) ? named.flatMap((each) => WITH_FILTER[each] ?? []) : [];
  return [...new Set([...named, ...filters])];
}

/** The words by which older versions know some components: one word for all of them where there is one, else the first's. */
export function oldWordsOf(components: readonly Component[]): string {
  const wanted = JSON.stringify(components);
  const whole = Object.entries(OLD_WORDS).find(([, known]) => JSON.stringify(known) === wanted);
  const [first] = components;
  return whole?.[0] ?? (first ? componentSpec(first).words : '');
}
