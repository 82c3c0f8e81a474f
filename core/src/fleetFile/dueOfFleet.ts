import type { CivilDate } from '../calendar/civilDate.js';
import { machineSchedule } from '../schedule/machineSchedule.js';
import { scheduleContext } from '../schedule/scheduleContext.js';
import type { DueState } from '../schedule/dueState.js';
import type { Baseline } from '../schedule/baseline.js';
import type { Limit } from '../schedule/limit.js';
import { factsOfFile, siteOfFile } from './fleetFile.js';
import type { FleetFile } from './fleetFile.js';

/** One item of one machine, as scripts read it. */
export interface FileDueLine {
  readonly machine: string;
  readonly item: string;
  readonly state: DueState;
  /** life hours of the deciding limit's meter at which it is due; null where a date decides */
  readonly dueHours: number | null;
  /** the day that decides, or the day expected for the hours; null where nobody can tell */
  readonly dueOn: CivilDate | null;
  /** hours or days left of the deciding limit */
  readonly left: number | null;
  readonly deciding: Limit['rule'] | null;
  readonly baseline: Baseline;
  readonly earlyOn: CivilDate | null;
  readonly expectedOn: CivilDate | null;
  readonly lateOn: CivilDate | null;
}

/** Every item of every machine of a fleet file on `today`, machines in the order of the file, each worst first; nothing of a retired one is due. */
export function dueOfFleet(file: FleetFile, today: CivilDate): FileDueLine[] {
  const context = scheduleContext(siteOfFile(file), today);
  return file.machines.flatMap((machine) =>
    machineSchedule(factsOfFile(machine, file.books), context).answers.map(
      ({ item, state, deciding, baseline, earlyOn, expectedOn, lateOn }) => ({
        machine: machine.tag,
        item: item.name,
        state,
        baseline,
        earlyOn,
        expectedOn,
        lateOn,
        dueHours: deciding?.kind === 'hours' ? deciding.at : null,
        dueOn: deciding?.expectedOn ?? null,
        left: deciding?.left ?? null,
        deciding: deciding?.rule ?? null,
      }),
    ),
  );
}
