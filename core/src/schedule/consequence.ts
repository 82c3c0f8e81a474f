import { componentSpec } from '../component/components.js';
import { compareConsequences } from '../component/consequence.js';
import type { Consequence } from '../component/consequence.js';
import type { Action, ScheduleItem } from './item.js';

/** What is greased or merely charged ruins nothing at once, whatever it is. */
const ALWAYS_CARE: readonly Action[] = ['grease', 'charge'];

/** What lateness of an item costs: as the crew lead says, else by its action and the worst of its components. */
export function consequenceOf(
  item: Pick<ScheduleItem, 'action' | 'components' | 'consequence'>,
): Consequence {
  if (item.consequence !== null) return item.consequence;
  if (ALWAYS_CARE.includes(item.action)) return 'care';
  const [worst] = item.components.map((component) => componentSpec(component).late).sort(compareConsequences);
  return worst ?? 'care';
}
