import { Injectable } from '@nestjs/common';
import { ThrottlerGuard } from '@nestjs/throttler';
import type { FastifyRequest } from 'fastify';

/** Counts attempts by address and name together, so that one person's slips do not lock out the crew. */
@Injectable()
export class SignInThrottle extends ThrottlerGuard {
  protected override getTracker(request: FastifyRequest): Promise<string> {
    const body: unknown = request.body;
    const name = typeof body === 'object' && body !== null && 'name' in body ? String(body.name) : '';
    return Promise.resolve(`${request.ip} ${name.trim().toLowerCase().slice(0, 60)}`);
  }
}
