import { Injectable } from '@nestjs/common';
import type { FastifyReply } from 'fastify';
import { AuditTrail } from '../audit/auditTrail.js';
import type { Person } from '../models/person.model.js';
import type { CallerRequest } from './caller.js';
import { readCookie, setCookie } from './cookie.js';
import { Sessions } from './sessions.js';

/** Finds out who calls, before anything else of a request is looked at. */
@Injectable()
export class Admission {
  constructor(
    private readonly sessions: Sessions,
    private readonly audit: AuditTrail,
  ) {}

  /** Who holds the session of this request; null where nobody does. A session in use goes on. */
  async callerOf(request: CallerRequest, reply: FastifyReply): Promise<Person | null> {
    const token = readCookie(request, 'session');
    const session = token ? await this.sessions.find(token) : null;
    if (!token || !session) return null;
    const days = await this.sessions.note(session, request.ip);
    if (days !== null) setCookie(request, reply, 'session', token, days);
    request.sessionId = session.id;
    request.shedDevice = session.shedDevice ?? null;
    return session.person;
  }

  /** Notes that somebody asked for what their role does not include. */
  async noteRefusal(request: CallerRequest, caller: Person): Promise<void> {
    const subject = `${request.method} ${request.routeOptions.url ?? ''}`;
    await this.audit.noteOnce({ act: 'roleRefused', person: caller, subject, address: request.ip });
  }
}
