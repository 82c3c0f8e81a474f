import { Injectable } from '@nestjs/common';
import type { JobProgressDto, UpdateStepDto } from '@yugator/contracts';
import { canMaim, settledChange, sheetSteps } from '@yugator/core';
import type { SheetStep } from '@yugator/core';
import { UnitOfWork } from '../database/unitOfWork.js';
import { Person } from '../models/person.model.js';
import { fault, fieldProblem, notFound, stale } from '../problem/problem.js';
import { SiteCalendar } from '../site/siteCalendar.js';
import { JobItem, JobStep } from '../models/job.model.js';
import { JobSheets, toProgressDto } from './jobSheets.js';
import { OpenJobs } from './openJobs.js';
import { checkPouredAt, fluidTarget } from './poured.js';
import { storedFound } from './storedFound.js';
import { changedAfter, measuredAfter, tickAfter } from './stepSaid.js';

function requireRead(
  step: SheetStep,
  { isDone, isAcknowledged }: Pick<JobStep, 'isDone' | 'isAcknowledged'>,
): void {
  if (!isDone || isAcknowledged || !canMaim(step)) return;
  const detail = 'This step can maim. Read its cautions and say so, then it can be ticked off.';
  throw fieldProblem(fault('/isAcknowledged', 'notRead', detail));
}

/** When what passes by itself began: when that was said, never, or as it was. */
function startedAt({ timer }: UpdateStepDto, known: JobStep | undefined, saidAt: Date): Date | null {
  if (timer === 'start') return saidAt;
  return timer === 'forget' ? null : (known?.startedAt ?? null);
}

/** The progress of a job, step by step; two people may work on different steps of it at once. */
@Injectable()
export class JobSteps {
  constructor(
    private readonly work: UnitOfWork,
    private readonly calendar: SiteCalendar,
    private readonly sheets: JobSheets,
    private readonly open: OpenJobs,
  ) {}

  /** Takes what is said of a step. `ago` is in milliseconds, where it was typed without signal: then nobody's later word is written over. */
  async update(
    id: string,
    key: string,
    fields: UpdateStepDto,
    caller: Person,
    ago: number | null,
  ): Promise<JobProgressDto> {
    const siteNow = await this.calendar.read();
    const saidAt = new Date(siteNow.now - (ago ?? 0));
    return this.work.run(async () => {
      const job = await this.open.lock(id);
      // Whoever writes to a job holds its row, so that what is read of it here stands still.
      const items = await JobItem.findAll({ where: { jobId: id } });
      const setUp = await this.sheets.setUp(job.machineId, items, siteNow);
      const steps = sheetSteps(setUp);
      const step = steps.find((each) => each.key === key);
      if (!step) throw notFound('step on this sheet');
      const rows = await JobStep.findAll({ where: { jobId: id }, include: [Person] });
      const known = rows.find(({ stepKey }) => stepKey === key);
      const version = known?.version ?? 0;
      const hasSeen = version === fields.version;
      if (!hasSeen && ago === null) throw stale('step', await this.sheets.get(id));
      const { site, today } = siteNow;
      const targetOf = () => fluidTarget(job.machineId, setUp, site, today);
      await checkPouredAt(step, fields.found ?? {}, storedFound(known?.found), caller, targetOf);
      const said = { by: caller.id, name: caller.name, at: saidAt.getTime(), hasSeen };
      const tick = tickAfter(known, fields, said);
      if (fields.isDone) requireRead(step, tick);
      const before = new Set(rows.filter(({ isDone }) => isDone).map(({ stepKey }) => stepKey));
      const after = new Set(before);
      if (tick.isDone) after.add(key);
      else after.delete(key);
      const touched = {
        ...tick,
        ...measuredAfter(known, fields, said),
        ...changedAfter(known, said),
        startedAt: startedAt(fields, known, saidAt),
        version: version + 1,
      };
      const row = known
        ? await known.update(touched)
        : await JobStep.create({ ...touched, jobId: id, stepKey: key });
      if (row.changedById === caller.id) row.changedBy = caller;
      await this.settle(items, settledChange(steps, before, after));
      // What was ticked before somebody put the job aside does not take it up again.
      await job.update({ version: job.version + 1, pausedReason: ago === null ? null : job.pausedReason });
      this.work.jobMoved(job);
      return toProgressDto(job, items, known ? rows : [...rows, row]);
    });
  }

  /** What is done by its ticks is so, unless somebody said otherwise; what a tick taken away leaves undone is so no longer. */
  private async settle(
    items: readonly JobItem[],
    { done, takenBack }: ReturnType<typeof settledChange>,
  ): Promise<void> {
    for (const item of items) {
      const { itemId, outcome, version } = item;
      if (outcome === null && done.includes(itemId))
        await item.update({ outcome: 'done', version: version + 1 });
      if (outcome === 'done' && takenBack.includes(itemId))
        await item.update({ outcome: null, version: version + 1 });
    }
  }
}
