import { Injectable } from '@nestjs/common';
import type { CanActivate, ExecutionContext } from '@nestjs/common';
import { Reflector } from '@nestjs/core';
import type { Role } from '@yugator/contracts';
import { Problem } from '../problem/problem.js';
import { ALLOWED, PUBLIC } from './allow.js';
import type { CallerRequest } from './caller.js';
import { SESSION_COOKIE } from './cookie.js';
import { Sessions } from './sessions.js';

/** Stands before every route. */
@Injectable()
export class RoleGuard implements CanActivate {
  constructor(
    private readonly reflector: Reflector,
    private readonly sessions: Sessions,
  ) {}

  async canActivate(context: ExecutionContext): Promise<boolean> {
    const places = [context.getHandler(), context.getClass()];
    if (this.reflector.getAllAndOverride<boolean>(PUBLIC, places)) return true;
    const request = context.switchToHttp().getRequest<CallerRequest>();
    const token = request.cookies[SESSION_COOKIE];
    const caller = token ? await this.sessions.personOf(token) : null;
    if (!caller) throw new Problem(401, 'Not signed in', 'Sign in and try again.');
    const roles = this.reflector.getAllAndOverride<readonly Role[] | undefined>(ALLOWED, places) ?? [];
    if (!roles.includes(caller.role)) {
      throw new Problem(403, 'Not allowed', 'Your role does not include this. Ask the crew lead.');
    }
    request.caller = caller;
    return true;
  }
}
