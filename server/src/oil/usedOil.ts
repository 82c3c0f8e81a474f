import { Injectable } from '@nestjs/common';
import type { EnterUsedOilDto, UsedOilDto, VesselsDto, WasteContainerDto } from '@yugator/contracts';
import { addDays, civilDate, collectionOutlook, WASTE_KEYS } from '@yugator/core';
import type { CivilDate, Waste } from '@yugator/core';
import { col, fn, Op } from 'sequelize';
import { v7 as uuid } from 'uuid';
import { grouped } from '../database/grouped.js';
import { UnitOfWork } from '../database/unitOfWork.js';
import { namesById } from '../people/namesById.js';
import { Person } from '../models/person.model.js';
import { fault, fieldProblem } from '../problem/problem.js';
import { Site } from '../models/site.model.js';
import { SiteCalendar } from '../site/siteCalendar.js';
import { wasteLitresOf } from '../site/workshop.js';
import { UsedOilRow } from '../models/usedOil.model.js';

const ENTRIES_SHOWN = 200;
const hundredths = (litres: number) => Math.round(litres * 100) / 100;

/** The outlook looks back over a year, and knows whether there is more before. */
const KNOWN_DAYS = 400;

/** What goes into a container, or out of it. */
export interface WasteLine {
  readonly waste: Waste;
  readonly on: string;
  /** below 0 where it was collected */
  readonly litres: number;
  readonly note: string;
  readonly receipt?: string;
  /** put right to what was found in it */
  readonly isLevel?: boolean;
  readonly jobId: string | null;
}

/** Litres in each container that anything was ever written of. */
async function insideByWaste(): Promise<ReadonlyMap<Waste, number>> {
  const rows = await UsedOilRow.findAll({
    where: { voidedAt: null },
    attributes: ['waste', [fn('SUM', col('litres')), 'litres']],
    group: ['waste'],
    raw: true,
  });
  // Sums of decimals are text.
  return new Map(rows.map(({ waste, litres }) => [waste, hundredths(Number(litres))]));
}

/** The containers of used oil and other waste, and their book. */
@Injectable()
export class UsedOil {
  constructor(
    private readonly work: UnitOfWork,
    private readonly calendar: SiteCalendar,
  ) {}

  async read(): Promise<UsedOilDto> {
    const { site, today } = await this.calendar.read();
    const [rows, names, containers] = await Promise.all([
      UsedOilRow.findAll({
        where: { voidedAt: null },
        order: [
          ['happenedOn', 'DESC'],
          ['id', 'DESC'],
        ],
        limit: ENTRIES_SHOWN,
      }),
      namesById(),
      this.containers(site, today),
    ]);
    return {
      containers,
      entries: rows.map(({ id, happenedOn, litres, note, waste, receipt, enteredById }) => ({
        id,
        on: happenedOn,
        litres,
        note,
        waste,
        receipt,
        by: names.get(enteredById) ?? '',
      })),
    };
  }

  /** Each container of waste, with what is in it and when it is full. */
  private async containers(site: Site, today: CivilDate): Promise<WasteContainerDto[]> {
    const rows = await UsedOilRow.findAll({
      where: { voidedAt: null, isLevel: false, happenedOn: { [Op.gte]: addDays(today, -KNOWN_DAYS) } },
      attributes: ['waste', 'happenedOn', 'litres'],
      raw: true,
    });
    const byWaste = grouped(rows, ({ waste }) => waste);
    const [capacities, sums] = [wasteLitresOf(site), await insideByWaste()];
    return WASTE_KEYS.flatMap((waste) => {
      const entries = (byWaste.get(waste) ?? []).map(({ happenedOn, litres }) => ({
        on: civilDate(happenedOn),
        litres,
      }));
      const [inside, capacity] = [sums.get(waste) ?? 0, capacities[waste]];
      const outlook = collectionOutlook(entries, { inside, capacity }, today);
      return capacity > 0 || inside > 0 ? [{ waste, inside, capacity, outlook }] : [];
    });
  }

  /** What the shop drains into, and the room left in its container. */
  async vessels(site: Site): Promise<VesselsDto> {
    const { panLitres, extractorLitres } = site;
    return { panLitres, extractorLitres, roomLitres: await this.room(site) };
  }

  /** Litres that the container still takes. */
  private async room(site: Site): Promise<number> {
    return Math.max(0, hundredths(site.usedOilLitres - (await this.inside('oil'))));
  }

  /** Writes down oil that went in or was collected. */
  async enter(fields: EnterUsedOilDto, caller: Person): Promise<UsedOilDto> {
    const { kind, waste, litres, on, note } = fields;
    const { today } = await this.calendar.read();
    return this.work.run(async () => {
      if (on > today) throw fieldProblem(fault('/on', 'future', 'That day is still to come.'));
      await Site.findOne({ lock: true });
      const inside = await this.inside(waste);
      if (kind === 'collected' && litres > inside) {
        const detail = `Only ${inside} L are in the container. Give what was collected.`;
        throw fieldProblem(fault('/litres', 'tooMuch', detail));
      }
      const receipt = kind === 'collected' ? (fields.receipt ?? '') : '';
      const change = { in: litres, collected: -litres, level: hundredths(litres - inside) }[kind];
      await this.add(
        { waste, on, litres: change, note, receipt, isLevel: kind === 'level', jobId: null },
        caller,
      );
      return this.read();
    });
  }

  /** Adds a line inside the running unit of work. */
  async add(
    { waste, on, litres, note, receipt = '', isLevel = false, jobId }: WasteLine,
    caller: Person,
  ): Promise<void> {
    const { now } = await this.calendar.read();
    await UsedOilRow.create({
      id: uuid(),
      happenedOn: on,
      litres,
      note,
      waste,
      receipt,
      isLevel,
      jobId,
      enteredAt: new Date(now),
      enteredById: caller.id,
    });
    this.work.changed('usedOil');
  }

  /** Takes back what a voided job poured in. */
  async undo(jobId: string): Promise<void> {
    const { now } = await this.calendar.read();
    await UsedOilRow.update({ voidedAt: new Date(now) }, { where: { jobId } });
    this.work.changed('usedOil');
  }

  private async inside(waste: Waste): Promise<number> {
    // Sums of decimals are text, and null over no rows at all.
    return hundredths(Number(await UsedOilRow.sum('litres', { where: { voidedAt: null, waste } })));
  }
}
