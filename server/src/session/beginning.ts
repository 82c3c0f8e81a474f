import { Injectable } from '@nestjs/common';
import { SHED_MOST_HOURS } from '@yugator/contracts';
import type { SessionDto } from '@yugator/contracts';
import type { FastifyReply, FastifyRequest } from 'fastify';
import { AuditTrail } from '../audit/auditTrail.js';
import type { Person } from '../models/person.model.js';
import type { ShedDevice } from '../models/session.model.js';
import { toPersonDto } from '../people/toPersonDto.js';
import { SiteCalendar } from '../site/siteCalendar.js';
import { readCookie, setCookie } from './cookie.js';
import { deviceName } from './deviceName.js';
import { KnownDevices } from './knownDevices.js';
import { Sessions } from './sessions.js';

/** A device keeps for so long who signed in on it. */
const DEVICE_DAYS = 365;

/** The beginning of sessions, and what those who are in are told. */
@Injectable()
export class Beginning {
  constructor(
    private readonly sessions: Sessions,
    private readonly devices: KnownDevices,
    private readonly calendar: SiteCalendar,
    private readonly audit: AuditTrail,
  ) {}

  /** Begins a session on this device, which from now on is known as one of the person's. */
  async withPassword(
    person: Person,
    isOwnDevice: boolean,
    request: FastifyRequest,
    reply: FastifyReply,
  ): Promise<SessionDto> {
    const device = deviceName(request.headers['user-agent']);
    const { token, days } = await this.sessions.begin(person, { device, address: request.ip, isOwnDevice });
    await this.audit.note({ act: 'signedIn', person, subject: device, address: request.ip });
    setCookie(request, reply, 'session', token, days);
    const known = await this.devices.with(readCookie(request, 'device'), person.id);
    setCookie(request, reply, 'device', known, DEVICE_DAYS);
    return this.describe(person, null);
  }

  /** Begins a session at a device of the shed. */
  async atShed(
    person: Person,
    shed: ShedDevice,
    request: FastifyRequest,
    reply: FastifyReply,
  ): Promise<SessionDto> {
    const { name: device, id: shedDeviceId } = shed;
    const where = { device, address: request.ip, isOwnDevice: false, shedDeviceId };
    const { token } = await this.sessions.begin(person, where);
    await this.audit.note({ act: 'signedIn', person, subject: device, address: request.ip });
    setCookie(request, reply, 'session', token, SHED_MOST_HOURS / 24);
    return this.describe(person, shed);
  }

  async describe(person: Person, shed: ShedDevice | null): Promise<SessionDto> {
    const { site, today } = await this.calendar.read();
    const { name, timeZone, currency, demonstration, dateOrder } = site;
    const unitSystem = person.unitSystem ?? site.unitSystem;
    return {
      person: toPersonDto(person),
      site: { name, timeZone, currency, demonstration, unitSystem, dateOrder },
      ownUnits: person.unitSystem,
      today,
      atShed: shed?.name ?? null,
    };
  }
}
