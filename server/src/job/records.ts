import { Injectable } from '@nestjs/common';
import type { RecordDto, RecordPageDto, RecordQueryDto } from '@yugator/contracts';
import { Op } from 'sequelize';
import type { WhereOptions } from 'sequelize';
import { Item } from '../books/book.model.js';
import { Machine } from '../machine/machine.model.js';
import { namesById } from '../people/namesById.js';
import { Article, Movement } from '../shelf/shelf.model.js';
import { Job, JobItem } from './job.model.js';
import { toRecordDto } from './toRecordDto.js';

const PAGE_SIZE = 50;
const LATEST_FIRST: [string, string][] = [
  ['doneOn', 'DESC'],
  ['signedOffAt', 'DESC'],
  ['id', 'DESC'],
];

/** Takes the wildcards of LIKE literally. */
function containing(words: string): { [Op.like]: string } {
  return { [Op.like]: `%${words.replace(/[\\%_]/g, '\\$&')}%` };
}

/** Everything done, void records too. */
@Injectable()
export class Records {
  /** A page of what matches, latest first. */
  async find(query: RecordQueryDto): Promise<RecordPageDto> {
    const where = await this.where(query);
    const total = await Job.count({ where });
    const page = await Job.findAll({
      where,
      attributes: ['id'],
      order: LATEST_FIRST,
      limit: PAGE_SIZE,
      offset: ((query.page ?? 1) - 1) * PAGE_SIZE,
    });
    const byId = await this.byId(page.map((job) => job.id));
    return { total, records: page.flatMap((job) => byId.get(job.id) ?? []) };
  }

  /** Every record of a machine, void ones too, latest first. */
  async allOf(machineId: string): Promise<RecordDto[]> {
    const jobs = await Job.findAll({
      where: { state: ['signedOff', 'voided'], machineId },
      attributes: ['id'],
      order: LATEST_FIRST,
    });
    const byId = await this.byId(jobs.map(({ id }) => id));
    return jobs.flatMap(({ id }) => byId.get(id) ?? []);
  }

  private async byId(ids: readonly string[]): Promise<Map<string, RecordDto | null>> {
    const jobs = await Job.findAll({
      where: { id: [...ids] },
      include: [
        Machine,
        { model: JobItem, include: [Item] },
        { model: Movement, separate: true, include: [Article] },
      ],
    });
    const names = await namesById();
    return new Map(jobs.map((job) => [job.id, toRecordDto(job, names)]));
  }

  private async where({ machineId, search }: RecordQueryDto): Promise<WhereOptions> {
    const base = { state: ['signedOff', 'voided'], ...(machineId ? { machineId } : {}) };
    if (!search) return base;
    const words = containing(search);
    const machines = await Machine.findAll({
      where: { [Op.or]: [{ tag: words }, { name: words }] },
      attributes: ['id'],
    });
    const items = await Item.findAll({ where: { name: words }, attributes: ['id'] });
    const ticked = await JobItem.findAll({
      where: { itemId: items.map((item) => item.id), outcome: { [Op.ne]: null } },
      attributes: ['jobId'],
    });
    return {
      ...base,
      [Op.or]: [
        { machineId: machines.map((machine) => machine.id) },
        { id: [...new Set(ticked.map((item) => item.jobId))] },
        { note: words },
      ],
    };
  }
}
