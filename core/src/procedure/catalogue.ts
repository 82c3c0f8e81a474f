import * as air from './catalogue/air.js';
import * as around from './catalogue/around.js';
import * as battery from './catalogue/battery.js';
import * as cooling from './catalogue/cooling.js';
import * as deck from './catalogue/deck.js';
import * as engineOil from './catalogue/engineOil.js';
import * as fluids from './catalogue/fluids.js';
import * as fuelAndSpark from './catalogue/fuelAndSpark.js';
import { BY_THE_BOOK } from './catalogue/generic.js';
import * as grease from './catalogue/grease.js';
import * as levels from './catalogue/levels.js';
import type { WorkItem } from './machineSetUp.js';
import { isDoneBy } from './procedure.js';
import type { Procedure } from './procedure.js';

/** How every piece of work is done that the books of a grounds crew ask for. */
export const PROCEDURES: readonly Procedure[] = [
  engineOil,
  air,
  fuelAndSpark,
  fluids,
  levels,
  grease,
  deck,
  cooling,
  battery,
  around,
].flatMap((subject) => Object.values<Procedure>(subject));

/** The procedures that an item asks for; its own book for any of its components that none is known for. */
export function proceduresFor({
  action,
  components,
}: Pick<WorkItem, 'action' | 'components'>): readonly Procedure[] {
  const work = components.map((component) => ({ action, component }));
  const known = PROCEDURES.filter((procedure) => work.some((each) => isDoneBy(procedure, each)));
  const isAllKnown =
    work.length > 0 && work.every((each) => known.some((procedure) => isDoneBy(procedure, each)));
  return isAllKnown ? known : [...known, BY_THE_BOOK];
}
