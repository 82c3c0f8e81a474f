import { Injectable } from '@nestjs/common';
import type { JobDto, UpdateStepDto } from '@yugator/contracts';
import { canMaim, settledChange, sheetSteps } from '@yugator/core';
import type { SheetStep } from '@yugator/core';
import { UnitOfWork } from '../database/unitOfWork.js';
import { Person } from '../models/person.model.js';
import { fault, fieldProblem, notFound, stale } from '../problem/problem.js';
import { SiteCalendar } from '../site/siteCalendar.js';
import { JobItem, JobStep } from '../models/job.model.js';
import { JobSheets } from './jobSheets.js';
import { OpenJobs } from './openJobs.js';

/** The progress of a job, step by step; two people may work on different steps of it at once. */
@Injectable()
export class JobSteps {
  constructor(
    private readonly work: UnitOfWork,
    private readonly calendar: SiteCalendar,
    private readonly sheets: JobSheets,
    private readonly open: OpenJobs,
  ) {}

  async update(id: string, key: string, fields: UpdateStepDto, caller: Person): Promise<JobDto> {
    const siteNow = await this.calendar.read();
    const now = new Date(siteNow.now);
    return this.work.run(async () => {
      const job = await this.open.lock(id);
      const steps = sheetSteps(await this.sheets.setUp(job, siteNow));
      const step = steps.find((each) => each.key === key);
      if (!step) throw notFound('step on this sheet');
      const rows = await JobStep.findAll({ where: { jobId: id }, lock: true });
      const known = rows.find(({ stepKey }) => stepKey === key);
      if ((known?.version ?? 0) !== fields.version) throw stale('step', await this.sheets.get(id));
      if (fields.isDone && canMaim(step) && !fields.isAcknowledged) {
        const detail = 'This step can maim. Read its cautions and say so, then it can be ticked off.';
        throw fieldProblem(fault('/isAcknowledged', 'notRead', detail));
      }
      const before = new Set(rows.filter(({ isDone }) => isDone).map(({ stepKey }) => stepKey));
      const after = new Set(before);
      if (fields.isDone) after.add(key);
      else after.delete(key);
      const timer = fields.timer;
      await JobStep.upsert({
        jobId: id,
        stepKey: key,
        isDone: fields.isDone,
        isAcknowledged: fields.isAcknowledged,
        found: fields.found,
        changedAt: now,
        changedById: caller.id,
        startedAt: timer === 'start' ? now : timer === 'forget' ? null : (known?.startedAt ?? null),
        version: fields.version + 1,
      });
      await this.settle(id, steps, before, after);
      await job.update({ version: job.version + 1, pausedReason: null });
      this.work.changed('jobs');
      return this.sheets.get(id, siteNow);
    });
  }

  /** What is done by its ticks is so, unless somebody said otherwise; what a tick taken away leaves undone is so no longer. */
  private async settle(
    id: string,
    steps: readonly SheetStep[],
    before: ReadonlySet<string>,
    after: ReadonlySet<string>,
  ): Promise<void> {
    const { done, takenBack } = settledChange(steps, before, after);
    const changes = [
      { itemIds: done, from: null, to: 'done' as const },
      { itemIds: takenBack, from: 'done' as const, to: null },
    ];
    for (const { itemIds, from, to } of changes) {
      if (itemIds.length === 0) continue;
      const items = await JobItem.findAll({
        where: { jobId: id, itemId: [...itemIds], outcome: from },
        lock: true,
      });
      for (const item of items) await item.update({ outcome: to, version: item.version + 1 });
    }
  }
}
