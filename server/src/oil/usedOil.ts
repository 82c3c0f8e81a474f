import { Injectable } from '@nestjs/common';
import type { EnterUsedOilDto, UsedOilDto, VesselsDto } from '@yugator/contracts';
import { v7 as uuid } from 'uuid';
import { UnitOfWork } from '../database/unitOfWork.js';
import { namesById } from '../people/namesById.js';
import { Person } from '../models/person.model.js';
import { fault, fieldProblem } from '../problem/problem.js';
import { Site } from '../models/site.model.js';
import { SiteCalendar } from '../site/siteCalendar.js';
import { UsedOilRow } from '../models/usedOil.model.js';

const ENTRIES_SHOWN = 200;
const hundredths = (litres: number) => Math.round(litres * 100) / 100;

/** The used-oil container and its book. */
@Injectable()
export class UsedOil {
  constructor(
    private readonly work: UnitOfWork,
    private readonly calendar: SiteCalendar,
  ) {}

  async read(): Promise<UsedOilDto> {
    const { site } = await this.calendar.read();
    const [rows, names, inside] = await Promise.all([
      UsedOilRow.findAll({
        where: { voidedAt: null },
        order: [
          ['happenedOn', 'DESC'],
          ['id', 'DESC'],
        ],
        limit: ENTRIES_SHOWN,
      }),
      namesById(),
      this.inside(),
    ]);
    return {
      inside,
      capacity: site.usedOilLitres,
      entries: rows.map(({ id, happenedOn, litres, note, enteredById }) => ({
        id,
        on: happenedOn,
        litres,
        note,
        by: names.get(enteredById) ?? '',
      })),
    };
  }

  /** What the shop drains into, and the room left in its container. */
  async vessels(site: Site): Promise<VesselsDto> {
    const { panLitres, extractorLitres } = site;
    return { panLitres, extractorLitres, roomLitres: await this.room(site) };
  }

  /** Litres that the container still takes. */
  private async room(site: Site): Promise<number> {
    return Math.max(0, hundredths(site.usedOilLitres - (await this.inside())));
  }

  /** Writes down oil that went in or was collected. */
  async enter({ kind, litres, on, note }: EnterUsedOilDto, caller: Person): Promise<UsedOilDto> {
    const { today } = await this.calendar.read();
    return this.work.run(async () => {
      if (on > today) throw fieldProblem(fault('/on', 'future', 'That day is still to come.'));
      await Site.findOne({ lock: true });
      const inside = await this.inside();
      if (kind === 'collected' && litres > inside) {
        const detail = `Only ${inside} L are in the container. Give what was collected.`;
        throw fieldProblem(fault('/litres', 'tooMuch', detail));
      }
      await this.add({ on, litres: kind === 'in' ? litres : -litres, note, jobId: null }, caller);
      return this.read();
    });
  }

  /** Adds a line inside the running unit of work. */
  async add(
    { on, litres, note, jobId }: { on: string; litres: number; note: string; jobId: string | null },
    caller: Person,
  ): Promise<void> {
    const { now } = await this.calendar.read();
    await UsedOilRow.create({
      id: uuid(),
      happenedOn: on,
      litres,
      note,
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

  private async inside(): Promise<number> {
    // Sums of decimals are text, and null over no rows at all.
    return hundredths(Number(await UsedOilRow.sum('litres', { where: { voidedAt: null } })));
  }
}
