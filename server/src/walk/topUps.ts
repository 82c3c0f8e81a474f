import { Injectable } from '@nestjs/common';
import type {
  ConsumptionDto,
  PouredDto,
  RecordKeptDto,
  ThirstyMachineDto,
  TopUpDto,
  TopUpsDto,
} from '@yugator/contracts';
import { addDays, consumption } from '@yugator/core';
import type { Component } from '@yugator/core';
import { Op } from 'sequelize';
import type { WhereOptions } from 'sequelize';
import { grouped } from '../database/grouped.js';
import { UnitOfWork } from '../database/unitOfWork.js';
import { storedCardOrEmpty } from '../machine/storedCard.js';
import { Meters } from '../meter/meters.js';
import { fluidTarget } from '../job/poured.js';
import { setUpOf } from '../job/setUpOf.js';
import { Job, TopUpRow } from '../models/job.model.js';
import { Person } from '../models/person.model.js';
import { fieldProblem, notFound } from '../problem/problem.js';
import { mapGently } from '../queue/breather.js';
import { FleetSchedule } from '../schedule/fleetSchedule.js';
import type { ScheduledMachine } from '../schedule/fleetSchedule.js';
import { stopFault, stopWords } from '../shelf/judgeArticle.js';
import { Shelf } from '../shelf/shelf.js';
import { SiteCalendar } from '../site/siteCalendar.js';
import { checkPoured, fluidsTaken } from './fluidsTaken.js';
import { refuseRetired } from './refuseRetired.js';
import { RoundRecords } from './roundRecords.js';

/** How far back it is looked for who drinks: two seasons say what is usual. */
const LOOKED_BACK_DAYS = 730;

/** Life hours at which a fluid was renewed. */
function changesOf({ facts }: ScheduledMachine, component: Component): number[] {
  return facts.items
    .filter(({ action, components }) => action === 'replace' && components.includes(component))
    .flatMap(({ id }) => facts.history.get(id)?.completions ?? [])
    .map(({ life }) => life);
}

function consumptionOf(
  scheduled: ScheduledMachine,
  topUps: readonly TopUpRow[],
  component: Component,
): ConsumptionDto {
  const line = storedCardOrEmpty(scheduled.machine.spec).fluids.find(
    (fluid) => fluid.component === component,
  );
  const allowed = line?.topUpPer100h ?? null;
  const own = topUps.filter((topUp) => topUp.component === component);
  const poured = own.map(({ job, litres }) => ({ life: job?.life ?? 0, litres }));
  const { spans, ...drinks } = consumption(
    poured,
    changesOf(scheduled, component),
    scheduled.schedule.life,
    allowed,
  );
  return { ...drinks, component, allowed, spans: spans.map((span) => ({ ...span })) };
}

/** What is filled up between changes, and what that says of a machine. */
@Injectable()
export class TopUps {
  constructor(
    private readonly work: UnitOfWork,
    private readonly calendar: SiteCalendar,
    private readonly schedule: FleetSchedule,
    private readonly meters: Meters,
    private readonly shelf: Shelf,
    private readonly records: RoundRecords,
  ) {}

  async of(machineId: string): Promise<TopUpsDto> {
    const scheduled = await this.schedule.readOne(machineId);
    if (!scheduled) throw notFound('machine');
    const { machine, schedule } = scheduled;
    const rows = await rowsOf({}, machineId);
    return {
      machine: { id: machine.id, tag: machine.tag, name: machine.name },
      lastShown: schedule.lastReading?.shown ?? null,
      fluids: fluidsTaken(scheduled),
      topUps: rows.map(({ jobId, component, litres, grade, reason, job }) => ({
        jobId,
        component,
        litres,
        grade,
        reason,
        on: job?.doneOn ?? '',
        life: job?.life ?? 0,
        by: job?.doneByName ?? '',
      })),
      consumption: [...new Set(rows.map(({ component }) => component))].map((component) =>
        consumptionOf(scheduled, rows, component),
      ),
    };
  }

  async keep(
    machineId: string,
    { shown = null, ...poured }: TopUpDto,
    caller: Person,
    ago: number | null,
  ): Promise<RecordKeptDto> {
    const { today } = await this.calendar.read(ago ?? 0);
    return this.work.run(async () => {
      await this.meters.lock([machineId]);
      const scheduled = await this.schedule.readOne(machineId);
      if (!scheduled) throw notFound('machine');
      refuseRetired(scheduled);
      await this.check(scheduled, [poured], caller, () => '');
      const record = { doneOn: today, shown, itemIds: [], poured: [poured], walk: null, ago };
      return { jobId: await this.records.keep(scheduled, record, caller) };
    });
  }

  /** Refuses what the machine does not take, and what is no fluid of the shelf. `pointerOf` names the part of the request. */
  async check(
    scheduled: ScheduledMachine,
    poured: readonly PouredDto[],
    caller: Person,
    pointerOf: (place: number) => string,
  ): Promise<void> {
    const ids = poured.flatMap(({ articleId }) => articleId ?? []);
    const fluids = await this.shelf.fluids(ids);
    checkPoured(scheduled, poured, fluids, caller, pointerOf);
    if (fluids.size === 0) return;
    const { site, today } = await this.calendar.read();
    const target = await fluidTarget(scheduled.machine.id, setUpOf(scheduled, site, null), site, today);
    const faults = poured.flatMap(({ articleId, component, reason = '' }, place) => {
      const article = fluids.get(articleId ?? '');
      const words = article ? stopWords(article, [component], target) : '';
      const pointer = pointerOf(place);
      const at = { fluid: `${pointer}/articleId`, reason: `${pointer}/reason` };
      return stopFault(words, reason, caller, at);
    });
    if (faults.length) throw fieldProblem(...faults);
  }

  /** Machines that take more of a fluid than they used to, or than their cards allow, the most thirsty first. */
  async thirsty(machines: readonly ScheduledMachine[]): Promise<ThirstyMachineDto[]> {
    const { today } = await this.calendar.read();
    const rows = await rowsOf({ doneOn: { [Op.gte]: addDays(today, -LOOKED_BACK_DAYS) } });
    const byMachine = grouped(rows, ({ machineId }) => machineId);
    const found = await mapGently(machines, (scheduled): ThirstyMachineDto[] => {
      const own = byMachine.get(scheduled.machine.id) ?? [];
      const { id, tag, name } = scheduled.machine;
      return [...new Set(own.map(({ component }) => component))].flatMap((component) => {
        const { latest, usual, allowed, thirst } = consumptionOf(scheduled, own, component);
        return thirst && latest !== null
          ? [{ id, tag, name, component, thirst, latest, usual, allowed }]
          : [];
      });
    });
    return found.flat().sort((a, b) => b.latest - a.latest);
  }
}

/** Top-ups that count, of all machines or of one, latest first; `record` bounds their records. */
function rowsOf(record: WhereOptions, machineId?: string): Promise<TopUpRow[]> {
  return TopUpRow.findAll({
    where: machineId ? { machineId } : {},
    include: [{ model: Job, required: true, where: { state: 'signedOff', ...record } }],
    order: [
      ['job', 'doneOn', 'DESC'],
      ['job', 'id', 'DESC'],
      ['component', 'ASC'],
    ],
  });
}
