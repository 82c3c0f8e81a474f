import type { Severity } from '@yugator/contracts';
import { addDays } from '@yugator/core';
import type { CivilDate, Waste } from '@yugator/core';
import { v7 as uuid } from 'uuid';
import { Defect } from '../models/defect.model.js';
import { UsedOilRow } from '../models/usedOil.model.js';
import { known } from '../database/known.js';

const DEFECTS: readonly (readonly [tag: string, daysAgo: number, severity: Severity, words: string])[] = [
  ['M-10', 3, 'soon', 'Left deck spindle rumbles when spun by hand'],
  ['U-06', 6, 'watch', 'Tailgate latch has to be lifted to close'],
  ['R-09', 1, 'soon', 'Sidewall of the right rear tyre cracked'],
];

type WasteLine = readonly [daysAgo: number, litres: number, note: string, waste?: Waste, receipt?: string];

const CARRIED_OVER = 'Carried over from the paper book';

/** Litres that went into the containers of waste, and when it was collected; days before today. */
const USED_OIL: readonly WasteLine[] = [
  [96, -41, 'District collector', 'oil', 'DC 20418'],
  [64, 3.7, 'Drained from T-03'],
  [41, 2, 'Drained from M-02'],
  [23, 2, 'Drained from R-03'],
  [12, 2.8, 'Drained from U-03'],
  [70, 3.4, 'Drained from T-01', 'coolant'],
  [33, 9.2, 'Old fuel out of R-04 and R-07', 'fuel'],
];

interface Finders {
  readonly operator: string;
  readonly mechanic: string;
}

/** What the crew found wrong and has not mended yet, and the used-oil book. */
export async function loadFindings(
  machineIds: ReadonlyMap<string, string>,
  today: CivilDate,
  { operator, mechanic }: Finders,
): Promise<void> {
  await Defect.bulkCreate(
    DEFECTS.map(([tag, daysAgo, severity, words]) => ({
      id: uuid(),
      machineId: known(machineIds, tag),
      itemId: null,
      foundInJobId: null,
      severity,
      words,
      foundOn: addDays(today, -daysAgo),
      reportedById: operator,
      closedByJobId: null,
    })),
  );
  const before: WasteLine = [100, 41 + 9.5, CARRIED_OVER];
  await UsedOilRow.bulkCreate(
    [before, ...USED_OIL].map(([daysAgo, litres, note, waste = 'oil', receipt = '']) => {
      const on = addDays(today, -daysAgo);
      return {
        id: uuid(),
        happenedOn: on,
        litres,
        note,
        waste,
        receipt,
        isLevel: note === CARRIED_OVER,
        jobId: null,
        enteredAt: new Date(`${on}T15:00:00Z`),
        enteredById: mechanic,
      };
    }),
  );
}
