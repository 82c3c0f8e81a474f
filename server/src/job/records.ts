import { containing } from '../database/containing.js';
import { Injectable } from '@nestjs/common';
import type { RecordDto, RecordPageDto, RecordQueryDto } from '@yugator/contracts';
import { Op } from 'sequelize';
import type { WhereOptions } from 'sequelize';
import { Item } from '../models/book.model.js';
import { Movement } from '../models/shelf.model.js';
import { Job, JobDefect, JobItem, TopUpRow } from '../models/job.model.js';
import { toRecordDto } from './toRecordDto.js';

const PAGE_SIZE = 50;
const LATEST_FIRST: [string, string][] = [
  ['doneOn', 'DESC'],
  ['signedOffAt', 'DESC'],
  ['id', 'DESC'],
];

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
        { model: JobItem, include: [Item] },
        { model: JobDefect, separate: true },
        { model: Movement, separate: true },
        { model: TopUpRow, separate: true },
      ],
    });
    return new Map(jobs.map((job) => [job.id, toRecordDto(job)]));
  }

  private async where({ machineId, search, kinds = 'visits' }: RecordQueryDto): Promise<WhereOptions> {
    const ofKind = kinds === 'all' ? {} : { kind: ['visit', 'paper'] };
    const base = { state: ['signedOff', 'voided'], ...ofKind, ...(machineId ? { machineId } : {}) };
    if (!search) return base;
    const words = containing(search);
    const ticked = await JobItem.findAll({
      where: { itemName: words, outcome: { [Op.ne]: null } },
      attributes: ['jobId'],
      group: ['jobId'],
      raw: true,
    });
    const mended = await JobDefect.findAll({ where: { words }, attributes: ['jobId'], raw: true });
    return {
      ...base,
      [Op.or]: [
        { machineTag: words },
        { machineName: words },
        { id: [...ticked, ...mended].map(({ jobId }) => jobId) },
        { note: words },
      ],
    };
  }
}
