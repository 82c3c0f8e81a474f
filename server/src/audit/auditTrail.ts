import { Injectable } from '@nestjs/common';
import type { AuditAct, AuditPageDto, AuditQueryDto } from '@yugator/contracts';
import { addDays, civilDate, instantOnDay } from '@yugator/core';
import { Op } from 'sequelize';
import type { DestroyOptions, WhereOptions } from 'sequelize';
import { v7 as uuid } from 'uuid';
import { Clock } from '../clock/clock.js';
import { Site } from '../models/site.model.js';
import { AuditEntry } from '../models/audit.model.js';

const PAGE_SIZE = 100;
const MS_PER_DAY = 86_400_000;
const KEPT_DAYS = 2 * 365 + 1;
const ONCE_EVERY_MS = 10 * 60_000;
const MOST_REMEMBERED = 10_000;

/** What is noted. Nothing secret: no password, no token, and no name that somebody typed and that is nobody's. */
export interface Note {
  readonly act: AuditAct;
  /** who acted; null where nobody was signed in */
  readonly person: { readonly id: string; readonly name: string } | null;
  readonly subject: string;
  readonly address: string;
}

/** The list of who did what, to which things are only added. */
@Injectable()
export class AuditTrail {
  private readonly lately = new Map<string, number>();

  constructor(private readonly clock: Clock) {}

  /** Adds a line, inside the running unit of work where there is one. */
  async note({ act, person, subject, address }: Note): Promise<void> {
    await AuditEntry.create({
      id: uuid(),
      at: new Date(this.clock.now()),
      act,
      subject: subject.slice(0, 200),
      personId: person?.id ?? null,
      personName: person?.name ?? '',
      address: address.slice(0, 45),
    });
  }

  /** Adds a line unless the same was added within ten minutes: what can be repeated at will must not fill the list. */
  async noteOnce(note: Note): Promise<void> {
    const key = JSON.stringify([note.act, note.person?.id, note.subject, note.address]);
    const now = this.clock.now();
    if (now - (this.lately.get(key) ?? 0) < ONCE_EVERY_MS) return;
    this.lately.delete(key);
    this.lately.set(key, now);
    if (this.lately.size > MOST_REMEMBERED) this.lately.delete(this.lately.keys().next().value ?? '');
    await this.note(note);
  }

  /** A page of what matches, latest first. */
  async find(query: AuditQueryDto): Promise<AuditPageDto> {
    const where = await this.where(query);
    const [total, rows] = await Promise.all([
      AuditEntry.count({ where }),
      AuditEntry.findAll({
        where,
        order: [
          ['at', 'DESC'],
          ['id', 'DESC'],
        ],
        limit: PAGE_SIZE,
        offset: ((query.page ?? 1) - 1) * PAGE_SIZE,
      }),
    ]);
    return {
      total,
      entries: rows.map(({ id, at, act, personName, subject, address }) => ({
        id,
        at: at.toISOString(),
        act,
        by: personName,
        subject,
        address,
      })),
    };
  }

  /** Forgets what is older than two years. */
  async forgetOld(): Promise<void> {
    const before = new Date(this.clock.now() - KEPT_DAYS * MS_PER_DAY);
    const options: DestroyOptions & { isForgetting: true } = {
      where: { at: { [Op.lt]: before } },
      isForgetting: true,
    };
    await AuditEntry.destroy(options);
  }

  private async where({ act, personId, from, to }: AuditQueryDto): Promise<WhereOptions> {
    const zone = (await Site.findOne({ attributes: ['timeZone'] }))?.timeZone ?? 'UTC';
    const at = {
      ...(from ? { [Op.gte]: new Date(instantOnDay(civilDate(from), 0, zone)) } : {}),
      ...(to ? { [Op.lt]: new Date(instantOnDay(addDays(civilDate(to), 1), 0, zone)) } : {}),
    };
    return {
      ...(act ? { act } : {}),
      ...(personId ? { personId } : {}),
      ...(from || to ? { at } : {}),
    };
  }
}
