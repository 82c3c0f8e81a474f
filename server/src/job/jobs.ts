import { Injectable } from '@nestjs/common';
import type {
  DropJobDto,
  JobDto,
  OpenJobDto,
  OutcomeDto,
  PauseJobDto,
  Role,
  SignOffDto,
} from '@yugator/contracts';
import { civilDate, defectsFound, instantOnDay, settledOutcome } from '@yugator/core';
import type { CivilDate, MeterName } from '@yugator/core';
import { v7 as uuid } from 'uuid';
import { AuditTrail } from '../audit/auditTrail.js';
import { UnitOfWork } from '../database/unitOfWork.js';
import { ReadingRow } from '../models/meter.model.js';
import { Meters } from '../meter/meters.js';
import { Person } from '../models/person.model.js';
import { fault, fieldProblem, notFound, Problem, stale } from '../problem/problem.js';
import { FleetSchedule } from '../schedule/fleetSchedule.js';
import type { ScheduledMachine } from '../schedule/fleetSchedule.js';
import { Ledger } from '../shelf/ledger.js';
import { SiteCalendar } from '../site/siteCalendar.js';
import { Op } from 'sequelize';
import { Item } from '../models/book.model.js';
import { Defects } from '../defect/defects.js';
import { rulesOn } from '../machine/rulesOn.js';
import { Machine } from '../models/machine.model.js';
import { UsedOil } from '../oil/usedOil.js';
import { Job, JobItem } from '../models/job.model.js';
import { checkFluidDraws } from './fluidDraws.js';
import { OpenJobs } from './openJobs.js';
import { fluidTarget } from './poured.js';
import { keepNames } from '../models/keepNames.js';
import { outcomeFaults } from './outcome.js';
import { keepFindings } from './findings.js';
import { JobSheets } from './jobSheets.js';
import { checkLeftOut, keepLeftOut } from './leaveOut.js';

type Findings = Awaited<ReturnType<typeof keepFindings>>;

/** Who does jobs, and so may stand in a record as having done one. */
const DOES_JOBS: readonly Role[] = ['crewLead', 'mechanic'];

/** How long what was noted can be undone: ten seconds on the screen, and a weak signal besides. */
const UNDO_MS = 120_000;

/** Jobs from opening to sign-off. */
@Injectable()
export class Jobs {
  constructor(
    private readonly work: UnitOfWork,
    private readonly calendar: SiteCalendar,
    private readonly schedule: FleetSchedule,
    private readonly meters: Meters,
    private readonly ledger: Ledger,
    private readonly sheets: JobSheets,
    private readonly openJobs: OpenJobs,
    private readonly defects: Defects,
    private readonly usedOil: UsedOil,
    private readonly audit: AuditTrail,
  ) {}

  /** Opens a job with the chosen items, or with none for the machine's open defects. A machine has one open job at a time. */
  async open({ machineId, itemIds }: OpenJobDto, caller: Person): Promise<JobDto> {
    const { now } = await this.calendar.read();
    return this.work.run(async () => {
      await this.meters.lock([machineId]);
      const scheduled = await this.schedule.readOne(machineId);
      if (!scheduled) throw notFound('machine');
      if (scheduled.machine.status === 'retired') {
        throw new Problem(
          409,
          'Retired',
          `${scheduled.machine.tag} is retired. Put it back into service first.`,
        );
      }
      const before = await Job.findOne({ where: { machineId, state: 'open' } });
      if (before) {
        throw new Problem(
          409,
          'A job is open',
          `${scheduled.machine.tag} already has an open job. Go on with that one.`,
          [],
          { current: await this.sheets.get(before.id) },
        );
      }
      const known = new Set(scheduled.schedule.answers.map((answer) => answer.item.id));
      const faults = itemIds.flatMap((itemId, index) =>
        known.has(itemId)
          ? []
          : [
              fault(
                `/itemIds/${index}`,
                'unknown',
                'The machine no longer has one of the chosen items. Choose again.',
              ),
            ],
      );
      if (faults.length) throw fieldProblem(...faults);
      if (itemIds.length === 0 && !(await this.defects.hasOpen(machineId))) {
        const detail = 'The machine has no open defect. Choose at least one item.';
        throw fieldProblem(fault('/itemIds', 'nothing', detail));
      }
      const id = uuid();
      await Job.create({
        id,
        machineId,
        state: 'open',
        openedAt: new Date(now),
        openedById: caller.id,
        version: 1,
        note: '',
      });
      await JobItem.bulkCreate(itemIds.map((itemId) => ({ jobId: id, itemId, outcome: null, version: 1 })));
      this.work.changed('jobs');
      return this.sheets.get(id);
    });
  }

  /** Says what became of an item. Two people may do so for different items of a job at once. */
  async decide(id: string, itemId: string, fields: OutcomeDto): Promise<JobDto> {
    return this.work.run(async () => {
      const job = await this.openJobs.lock(id);
      const item = await JobItem.findOne({ where: { jobId: id, itemId }, lock: true });
      if (!item) throw notFound('item in this job');
      if (item.version !== fields.version) throw stale('item', await this.sheets.get(id));
      const scheduled = await this.schedule.readOne(job.machineId);
      const { today, site } = await this.calendar.read();
      const faults = outcomeFaults(fields, today, (meter) => lifeOn(scheduled, meter));
      if (faults.length) throw fieldProblem(...faults);
      if (fields.leavesOutNext === true && scheduled) {
        checkLeftOut(scheduled, itemId, rulesOn(scheduled.machine, site), today);
      }
      await item.update({ ...settledOutcome(fields), version: fields.version + 1 });
      await job.update({ version: job.version + 1 });
      this.work.jobMoved(job);
      return this.sheets.get(id);
    });
  }

  /** Puts a job aside until something is there, or takes it up again. */
  async pause(id: string, { reason, version }: PauseJobDto): Promise<JobDto> {
    return this.work.run(async () => {
      const job = await this.openJobs.lock(id);
      if (job.version !== version) throw stale('job', await this.sheets.get(id));
      await job.update({ pausedReason: reason, version: version + 1 });
      this.work.jobMoved(job);
      return this.sheets.get(id);
    });
  }

  /** Takes an item into an open job. */
  async addItem(id: string, itemId: string): Promise<JobDto> {
    return this.work.run(async () => {
      const job = await this.openJobs.lock(id);
      const scheduled = await this.schedule.readOne(job.machineId);
      if (!scheduled?.facts.items.some((item) => item.id === itemId)) throw notFound('item of this machine');
      if (!(await JobItem.count({ where: { jobId: id, itemId } }))) {
        await JobItem.create({ jobId: id, itemId, outcome: null, version: 1 });
        await job.update({ version: job.version + 1 });
        this.work.changed('jobs');
      }
      return this.sheets.get(id);
    });
  }

  /** Puts an open job away without a record. */
  async drop(id: string, { version }: DropJobDto): Promise<void> {
    await this.work.run(async () => {
      const job = await this.openJobs.lock(id);
      if (job.version !== version) throw stale('job', await this.sheets.get(id));
      await job.update({ state: 'dropped', version: version + 1 });
      this.work.changed('jobs');
    });
  }

  /** Signs a job off: its reading, the stock it drew and the record are written together, or none of them. */
  async signOff(id: string, fields: SignOffDto, caller: Person, address: string): Promise<JobDto> {
    const siteNow = await this.calendar.read();
    const { site, today, now } = siteNow;
    return this.work.run(async () => {
      const job = await this.openJobs.lock(id);
      if (job.version !== fields.version) throw stale('job', await this.sheets.get(id));
      await this.check(job, fields, today);
      await this.meters.lock([job.machineId]);
      const scheduled = await this.schedule.readOne(job.machineId);
      if (!scheduled) throw notFound('machine');
      const doneOn = civilDate(fields.doneOn);
      const at = doneOn === today ? now : instantOnDay(doneOn, 12, site.timeZone);
      const { row, life } = await this.meters.enter(
        scheduled,
        { at, shown: fields.shown },
        'job',
        caller,
        '',
      );
      const items = await JobItem.findAll({ where: { jobId: id } });
      const setUp = await this.sheets.setUp(job.machineId, items, siteNow);
      const target = await fluidTarget(job.machineId, setUp, site, today);
      const fluidReason = await checkFluidDraws(id, fields, setUp, target, caller);
      await this.ledger.draw(fields.draws, { jobId: id, shed: scheduled.machine.shed }, caller);
      const findings = await keepFindings(id, setUp);
      await this.writeFindings(job, fields, findings, caller);
      await keepLeftOut(id, scheduled, { on: doneOn, life });
      await job.update({
        state: 'signedOff',
        doneOn,
        life,
        shown: fields.shown,
        doneById: fields.doneById,
        minutes: fields.minutes,
        labourRateMinor: site.labourRateMinor,
        note: fields.note ?? '',
        fluidReason,
        readingId: row.id,
        signedOffAt: new Date(now),
        signedOffById: caller.id,
        version: job.version + 1,
      });
      await keepNames(id);
      if (fields.doneById !== caller.id) await this.noteOther(job, fields.doneById, caller, address);
      await this.schedule.touched([job.machineId]);
      this.work.changed('jobs', 'readings');
      return this.sheets.get(id);
    });
  }

  /** Takes a mistaken record out of the reckoning, with its reading and what it drew from the shelf. */
  async void(id: string, reason: string, caller: Person, address: string): Promise<JobDto> {
    const { now } = await this.calendar.read();
    return this.work.run(async () => {
      const job = await Job.findByPk(id, { lock: true });
      if (!job) throw notFound('record');
      if (job.state !== 'signedOff') {
        throw new Problem(409, 'Nothing to void', 'Only a record that counts can be voided.', [], {
          current: await this.sheets.get(id),
        });
      }
      await job.update({
        state: 'voided',
        voidedAt: new Date(now),
        voidedById: caller.id,
        voidReason: reason,
        version: job.version + 1,
      });
      await keepNames(id);
      const reading = job.readingId ? await ReadingRow.findByPk(job.readingId, { lock: true }) : null;
      if (reading && !reading.voidedAt) await this.meters.markVoid(reading, reason, caller);
      const tag = (await Machine.findByPk(job.machineId))?.tag ?? '';
      const subject = `${tag}, ${job.doneOn ?? ''}: ${reason}`;
      await this.audit.note({ act: 'recordVoided', person: caller, subject, address });
      await this.ledger.giveBack(id);
      await this.defects.undo(id);
      await this.usedOil.undo(id);
      await this.schedule.touched([job.machineId]);
      this.work.changed('jobs', 'readings', 'shelf');
      return this.sheets.get(id);
    });
  }

  /** Takes back at once what the caller noted as done a moment ago, without a job. */
  async undo(id: string, caller: Person, address: string): Promise<JobDto> {
    const { now } = await this.calendar.read();
    const job = await Job.findByPk(id);
    if (!job) throw notFound('record');
    const age = now - (job.signedOffAt?.getTime() ?? 0);
    if (job.kind !== 'round' || job.doneById !== caller.id || age > UNDO_MS)
      throw new Problem(
        403,
        'Not allowed',
        'This can no longer be undone. The crew lead can void the record.',
      );
    return this.void(id, 'Undone at once', caller, address);
  }

  /** Notes that somebody signed for the work of another. */
  private async noteOther(job: Job, doneById: string, caller: Person, address: string): Promise<void> {
    const [machine, other] = await Promise.all([Machine.findByPk(job.machineId), Person.findByPk(doneById)]);
    const subject = `${machine?.tag ?? ''}, done by ${other?.name ?? ''}`;
    await this.audit.note({ act: 'signedOffForAnother', person: caller, subject, address });
  }

  /** What a job found and mended, and the oil that it drained, inside the running unit of work. */
  private async writeFindings(
    job: Job,
    fields: SignOffDto,
    findings: Findings,
    caller: Person,
  ): Promise<void> {
    await this.defects.close(fields.mendedDefectIds ?? [], job.machineId, job.id);
    const inJob = { machineId: job.machineId, foundInJobId: job.id, foundOn: fields.doneOn };
    const said = await JobItem.findAll({ where: { jobId: job.id, outcome: 'defect' }, include: [Item] });
    for (const { itemId, item, note, severity } of said) {
      const words = note || (item?.name ?? '');
      await this.defects.add({ ...inJob, itemId, words, severity: severity ?? 'soon' }, caller);
    }
    const open = (await this.defects.open(job.machineId)).map(({ words }) => words);
    for (const found of defectsFound(findings, open))
      await this.defects.add({ ...inJob, ...found, severity: 'soon' }, caller);
    const drained = (fields.drained ?? []).filter(({ litres }) => litres > 0);
    if (drained.length === 0) return;
    const note = `Drained from ${(await Machine.findByPk(job.machineId))?.tag ?? 'a machine'}`;
    for (const { waste, litres } of drained)
      await this.usedOil.add({ waste, on: fields.doneOn, litres, note, jobId: job.id }, caller);
  }

  private async check(job: Job, fields: SignOffDto, today: CivilDate): Promise<void> {
    const faults = [];
    if (fields.doneOn > today)
      faults.push(fault('/doneOn', 'future', 'That day is still to come. Give the day it was done.'));
    const doneBy = await Person.findByPk(fields.doneById);
    if (!doneBy?.active || !DOES_JOBS.includes(doneBy.role)) {
      const detail = 'Choose who did it: a mechanic or the crew lead, still with the crew.';
      faults.push(fault('/doneById', 'unknown', detail));
    }
    const isMended = (fields.mendedDefectIds ?? []).length > 0;
    const said = { jobId: job.id, outcome: { [Op.ne]: null } };
    if (!isMended && (await JobItem.count({ where: said })) === 0) {
      const detail = 'Nothing is done yet. Say what became of an item or a defect, or put the job away.';
      faults.push(fault('', 'nothingDone', detail));
    }
    if (faults.length) throw fieldProblem(...faults);
  }
}

/** Hours that a meter of a machine stands at; null where it has no such meter. */
function lifeOn(scheduled: ScheduledMachine | undefined, meter: MeterName): number | null {
  return scheduled?.schedule.meters.get(meter)?.life ?? null;
}
