import { createParamDecorator } from '@nestjs/common';
import type { ExecutionContext } from '@nestjs/common';
import type { FastifyRequest } from 'fastify';
import type { Person } from '../models/person.model.js';
import type { ShedDevice } from '../models/session.model.js';

/** A request of somebody who is signed in. */
export type CallerRequest = FastifyRequest & {
  caller?: Person;
  /** the session that it is made under */
  sessionId?: string;
  /** the device of the shed at which its session began; null for a sign-in by password */
  shedDevice?: ShedDevice | null;
  /** milliseconds since it was typed, where it could not be sent then; null where it comes at once */
  typedAgo?: number | null;
};

/** The person who calls a route that needs sign-in. */
export const Caller = createParamDecorator((_: unknown, context: ExecutionContext): Person => {
  const { caller } = context.switchToHttp().getRequest<CallerRequest>();
  if (!caller) throw new Error('A route that asks for its caller must not be public.');
  return caller;
});

/** The id of the session under which a route that needs sign-in is called. */
export const SessionId = createParamDecorator((_: unknown, context: ExecutionContext): string => {
  const { sessionId } = context.switchToHttp().getRequest<CallerRequest>();
  if (!sessionId) throw new Error('A route that asks for its session must not be public.');
  return sessionId;
});

/** Milliseconds since a write was typed that could not be sent then; null for one that comes at once. */
export const Ago = createParamDecorator(
  (_: unknown, context: ExecutionContext): number | null =>
    context.switchToHttp().getRequest<CallerRequest>().typedAgo ?? null,
);
