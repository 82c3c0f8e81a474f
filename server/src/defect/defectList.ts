import { Injectable } from '@nestjs/common';
import { SEVERITIES } from '@yugator/contracts';
import type { DefectDto, DefectPageDto, DefectQueryDto } from '@yugator/contracts';
import { addDays } from '@yugator/core';
import { literal, Op } from 'sequelize';
import type { WhereOptions } from 'sequelize';
import { containing } from '../database/containing.js';
import { Item } from '../models/book.model.js';
import { Defect, OPEN_DEFECTS } from '../models/defect.model.js';
import { Machine } from '../models/machine.model.js';
import type { Person } from '../models/person.model.js';
import { SiteCalendar } from '../site/siteCalendar.js';
import { toDefectDtos } from './toDefectDto.js';

const PAGE_SIZE = 50;
/** Days for which people are told what became of what they reported. */
const OF_LATE = 30;
const MOST_OF_LATE = 20;

const ENDED = { [Op.or]: [{ closedByJobId: { [Op.ne]: null } }, { voidedAt: { [Op.ne]: null } }] };
const STATES = { open: OPEN_DEFECTS, ended: ENDED, all: {} } as const;

const BY_SEVERITY = literal(
  `FIELD(Defect.severity, ${SEVERITIES.toReversed()
    .map((severity) => `'${severity}'`)
    .join(', ')})`,
);
const OPEN_FIRST = literal('Defect.closed_by_job_id IS NOT NULL OR Defect.voided_at IS NOT NULL');
/** The defects of the fleet, to look through. */
@Injectable()
export class DefectList {
  constructor(private readonly calendar: SiteCalendar) {}

  /** A page of what matches: open ones worst first, then those that ended, latest found first. */
  async find(query: DefectQueryDto, caller: Person): Promise<DefectPageDto> {
    const siteNow = await this.calendar.read();
    const { rows, count } = await Defect.findAndCountAll({
      where: whereOf(query, caller),
      include: [{ model: Machine, required: true }, Item],
      order: [
        [OPEN_FIRST, 'ASC'],
        [BY_SEVERITY, 'ASC'],
        ['foundOn', 'DESC'],
        ['id', 'DESC'],
      ],
      limit: PAGE_SIZE,
      offset: ((query.page ?? 1) - 1) * PAGE_SIZE,
    });
    return { total: count, defects: await toDefectDtos(rows, siteNow) };
  }

  /** What a person reported of late, latest first, mended or not. */
  async reportedBy(person: Person): Promise<DefectDto[]> {
    const siteNow = await this.calendar.read();
    const rows = await Defect.findAll({
      where: { reportedById: person.id, foundOn: { [Op.gte]: addDays(siteNow.today, -OF_LATE) } },
      include: [{ model: Machine, required: true }, Item],
      order: [
        ['foundOn', 'DESC'],
        ['id', 'DESC'],
      ],
      limit: MOST_OF_LATE,
    });
    return toDefectDtos(rows, siteNow);
  }
}

function whereOf(
  { state = 'open', severity, machineId, search, by }: DefectQueryDto,
  caller: Person,
): WhereOptions {
  const words = search ? containing(search) : null;
  return {
    [Op.and]: [
      STATES[state],
      severity ? { severity } : {},
      machineId ? { machineId } : {},
      by ? { reportedById: caller.id } : {},
      words ? { [Op.or]: [{ words }, { '$machine.tag$': words }, { '$machine.name$': words }] } : {},
    ],
  };
}
