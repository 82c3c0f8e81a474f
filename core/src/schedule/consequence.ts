import type { Action, ScheduleItem } from './item.js';

/** What lateness costs, worst first. */
export const CONSEQUENCES = ['ruin', 'wear', 'care'] as const;

/**
 * - `ruin`: it can wreck a machine or hurt somebody
 * - `wear`: parts wear faster, the work gets worse
 * - `care`: grease, cleaning, pressures, looks
 */
export type Consequence = (typeof CONSEQUENCES)[number];

const RANK = new Map(CONSEQUENCES.map((consequence, rank) => [consequence, rank]));

/** Components as books name them, by what lateness on them costs (common practice). */
const COMPONENTS: Record<Exclude<Consequence, 'care'>, readonly string[]> = {
  ruin: [
    ...['engine oil', 'oil filter', 'engine oil filter', 'coolant', 'cooling', 'radiator hoses'],
    ...['transmission oil', 'transmission filter', 'transaxle oil', 'front axle oil', 'differential oil'],
    ...['hydro oil', 'hydraulic oil', 'hydraulic filter', 'hydraulic filters', 'hydro filters'],
    ...['loader hydraulics', 'loader bolts', 'wheels', 'wheel bolts', 'wheel nuts'],
    ...['brakes', 'parking brake', 'steering', 'axles and steering', 'brakes and bed hinge'],
    ...['belt, brakes and battery', 'tractor grease points', 'safety start', 'safety switches'],
  ],
  wear: [
    ...['air filter', 'air pre-filter', 'primary air element', 'safety air element', 'fuel filter'],
    ...['spark plug', 'spark plugs', 'blades', 'belts', 'deck belt', 'drive belt', 'fan belt', 'valves'],
    ...['valve clearance', 'belts, battery and fins'],
  ],
};

const OF_COMPONENT = new Map<string, Consequence>(
  (['ruin', 'wear'] as const).flatMap((consequence) =>
    COMPONENTS[consequence].map((component) => [component, consequence] as const),
  ),
);

/** What is greased or merely charged ruins nothing at once, whatever it is. */
const ALWAYS_CARE: readonly Action[] = ['grease', 'charge'];

/** What lateness of an item costs: as the crew lead says, else by its action and component. */
export function consequenceOf(item: Pick<ScheduleItem, 'action' | 'component' | 'consequence'>): Consequence {
  if (item.consequence !== null) return item.consequence;
  if (ALWAYS_CARE.includes(item.action)) return 'care';
  return OF_COMPONENT.get(item.component.trim().toLowerCase()) ?? 'care';
}

/** Orders by what lateness costs, the worst first. */
export function compareConsequences(a: Consequence, b: Consequence): number {
  return (RANK.get(a) ?? 0) - (RANK.get(b) ?? 0);
}
