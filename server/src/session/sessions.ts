import { createHash, randomBytes } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { OWN_DEVICE_DAYS, SHED_IDLE_MINUTES, SHED_MOST_HOURS } from '@yugator/contracts';
import { Op } from 'sequelize';
import { v7 as uuid } from 'uuid';
import { Clock } from '../clock/clock.js';
import { Person } from '../models/person.model.js';
import { Site, SITE_DEFAULTS } from '../models/site.model.js';
import { Session, ShedDevice } from '../models/session.model.js';

const MS_PER_DAY = 86_400_000;
/** A session is noted as in use at most this often, so that reading does not write all the time. */
const NOTED_EVERY_MS = 10 * 60_000;
/** One at the shed ends soon, so it is noted more often. */
const NOTED_AT_SHED_MS = 60_000;
const SHED_IDLE_DAYS = SHED_IDLE_MINUTES / (24 * 60);
const SHED_MOST_MS = SHED_MOST_HOURS * 3_600_000;
/** Sessions of one person; of more, the one that was used longest ago ends. */
const MOST_SESSIONS = 50;

/** Sessions that the crew lead is told of. */
const MOST_TOLD = 500;

/** On what somebody signs in. */
export interface Device {
  readonly device: string;
  readonly address: string;
  readonly isOwnDevice: boolean;
  /** the device of the shed, for whoever goes in by a code */
  readonly shedDeviceId?: string;
}

/** A token for the cookie, and for how many days it holds without use. */
export interface Token {
  readonly token: string;
  readonly days: number;
}

/** Whether the person of a session is there and still of the crew. */
function isOfSomebody(session: Session): session is Session & { person: Person } {
  return session.person?.active === true;
}

export function hashOf(token: string): string {
  return createHash('sha256').update(token).digest('hex');
}

/** A session that begins `now` (ms) and holds for so many days without use: its token, and its row, which has only the hash of that. */
export function newSession(personId: string, device: Device, now: number, days: number) {
  const token = randomBytes(32).toString('base64url');
  const row = {
    ...device,
    id: uuid(),
    tokenHash: hashOf(token),
    personId,
    createdAt: new Date(now),
    lastSeenAt: new Date(now),
    expiresAt: new Date(now + days * MS_PER_DAY),
  };
  return { token, row };
}

/** Who is signed in. */
@Injectable()
export class Sessions {
  constructor(private readonly clock: Clock) {}

  /** Begins a session of `person` and returns its token. */
  async begin(person: Person, device: Device): Promise<Token> {
    const days = await this.idleDays(device);
    const { token, row } = newSession(person.id, device, this.clock.now(), days);
    await this.forgetEnded();
    await Session.create(row);
    await this.keepLatest(person.id);
    return { token, days };
  }

  /** The session of `token` with its person; null once it ended, was idle for too long, or the person left. */
  async find(token: string): Promise<(Session & { person: Person }) | null> {
    const session = await Session.findOne({
      where: { tokenHash: hashOf(token) },
      include: [Person, ShedDevice],
    });
    if (!session || !isOfSomebody(session) || session.expiresAt.getTime() <= this.clock.now()) return null;
    return session;
  }

  /** Notes that a session is in use. Returns for how many days its cookie holds from now on; null where it was noted lately. */
  async note(session: Session, address: string): Promise<number | null> {
    const now = this.clock.now();
    const isAtShed = session.shedDeviceId !== null;
    const every = isAtShed ? NOTED_AT_SHED_MS : NOTED_EVERY_MS;
    if (now - session.lastSeenAt.getTime() < every) return null;
    const days = await this.idleDays(session);
    const latest = isAtShed ? session.createdAt.getTime() + SHED_MOST_MS : Infinity;
    await session.update({
      address,
      lastSeenAt: new Date(now),
      expiresAt: new Date(Math.min(latest, now + days * MS_PER_DAY)),
    });
    return days;
  }

  /** Whether the session of this id still holds. */
  async holds(id: string): Promise<boolean> {
    const session = await Session.findByPk(id, { include: Person });
    return Boolean(session?.person?.active) && (session?.expiresAt.getTime() ?? 0) > this.clock.now();
  }

  /** Those of a person, the last used first. */
  async of(personId: string): Promise<Session[]> {
    return Session.findAll({
      where: { personId, expiresAt: { [Op.gt]: new Date(this.clock.now()) } },
      order: [
        ['lastSeenAt', 'DESC'],
        ['id', 'DESC'],
      ],
    });
  }

  /** Those of the whole crew, the last used first. */
  async ofCrew(): Promise<Session[]> {
    const sessions = await Session.findAll({
      where: { expiresAt: { [Op.gt]: new Date(this.clock.now()) } },
      include: Person,
      order: [
        ['lastSeenAt', 'DESC'],
        ['id', 'DESC'],
      ],
      limit: MOST_TOLD,
    });
    return sessions.filter(isOfSomebody);
  }

  /** Ends one session, whosever it is, and returns it with its person; null where there is none of that id. */
  async endOne(id: string): Promise<Session | null> {
    const session = await Session.findByPk(id, { include: Person });
    await session?.destroy();
    return session;
  }

  /** Ends one session of a person; false where there is none of that id. */
  async end(personId: string, id: string): Promise<boolean> {
    return (await Session.destroy({ where: { personId, id } })) > 0;
  }

  /** Ends all sessions of a person, but for one: after a new password, or on leaving. */
  async endAll(personId: string, exceptId: string | null = null): Promise<void> {
    await Session.destroy({ where: { personId, ...(exceptId ? { id: { [Op.ne]: exceptId } } : {}) } });
  }

  /** Forgets sessions that ended by themselves. */
  async forgetEnded(): Promise<void> {
    await Session.destroy({ where: { expiresAt: { [Op.lt]: new Date(this.clock.now()) } } });
  }

  private async keepLatest(personId: string): Promise<void> {
    const older = (await this.of(personId)).slice(MOST_SESSIONS);
    if (older.length) await Session.destroy({ where: { id: older.map(({ id }) => id) } });
  }

  private async idleDays({
    isOwnDevice,
    shedDeviceId,
  }: {
    readonly isOwnDevice: boolean;
    readonly shedDeviceId?: string | null;
  }): Promise<number> {
    if (shedDeviceId) return SHED_IDLE_DAYS;
    if (isOwnDevice) return OWN_DEVICE_DAYS;
    const site = await Site.findOne({ attributes: ['sessionIdleDays'] });
    return site?.sessionIdleDays ?? SITE_DEFAULTS.sessionIdleDays;
  }
}
