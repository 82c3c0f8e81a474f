import { Injectable } from '@nestjs/common';
import type { JobDto, UpdateStepDto } from '@yugator/contracts';
import { canMaim, sheetSteps } from '@yugator/core';
import type { SheetStep } from '@yugator/core';
import { UnitOfWork } from '../database/unitOfWork.js';
import { Person } from '../people/person.model.js';
import { fault, fieldProblem, notFound, stale } from '../problem/problem.js';
import { SiteCalendar } from '../site/siteCalendar.js';
import { JobItem, JobStep } from './job.model.js';
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
    const { now } = await this.calendar.read();
    return this.work.run(async () => {
      const job = await this.open.lock(id);
      const steps = sheetSteps(await this.sheets.setUp(job));
      const step = steps.find((each) => each.key === key);
      if (!step) throw notFound('step on this sheet');
      const known = await JobStep.findOne({ where: { jobId: id, stepKey: key }, lock: true });
      if ((known?.version ?? 0) !== fields.version) throw stale('step', await this.sheets.get(id));
      if (fields.isDone && canMaim(step) && !fields.isAcknowledged) {
        const detail = 'This step can maim. Read its cautions and say so, then it can be ticked off.';
        throw fieldProblem(fault('/isAcknowledged', 'notRead', detail));
      }
      const timer = fields.timer;
      await JobStep.upsert({
        jobId: id,
        stepKey: key,
        isDone: fields.isDone,
        isAcknowledged: fields.isAcknowledged,
        found: fields.found,
        changedAt: new Date(now),
        changedById: caller.id,
        startedAt: timer === 'start' ? new Date(now) : timer === 'forget' ? null : (known?.startedAt ?? null),
        version: fields.version + 1,
      });
      if (fields.isDone) await this.finishItems(id, step, steps);
      await job.update({ version: job.version + 1, pausedReason: null });
      this.work.changed('jobs');
      return this.sheets.get(id);
    });
  }

  /** An item of which every step of work is done is done itself, unless somebody said otherwise. */
  private async finishItems(id: string, step: SheetStep, steps: readonly SheetStep[]): Promise<void> {
    const rows = await JobStep.findAll({ where: { jobId: id, isDone: true } });
    const done = new Set(rows.map(({ stepKey }) => stepKey));
    const isWork = ({ key, access }: SheetStep) => access === null && !/^(visit|shared)\./.test(key);
    for (const itemId of step.itemIds) {
      const own = steps.filter((each) => isWork(each) && each.itemIds.includes(itemId));
      if (own.length === 0 || !own.every(({ key }) => done.has(key))) continue;
      const item = await JobItem.findOne({ where: { jobId: id, itemId, outcome: null }, lock: true });
      await item?.update({ outcome: 'done', version: item.version + 1 });
    }
  }
}
