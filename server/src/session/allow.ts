import { RouteConfig } from '@nestjs/platform-fastify';
import { ROLES } from '@yugator/contracts';
import type { Role } from '@yugator/contracts';
import 'reflect-metadata';

/** What the gate lets through to a route, known before anything of the request's body is read. */
export interface RouteRules {
  /** who may call it; a route that names nobody, and is not public, is refused to everybody */
  readonly roles: readonly Role[];
  /** anybody may call it, signed in or not */
  readonly isPublic: boolean;
  /** bytes of a body at most */
  readonly bodyBytes: number;
  /** milliseconds within which the body must be there */
  readonly bodyMs: number;
  /** milliseconds within which it is answered */
  readonly answerMs: number;
  /** somebody may call it who went in at a device of the shed; what everybody may read they may anyway */
  readonly isForShed: boolean;
  /** the handler takes the bytes as they came and reads them elsewhere than in this thread */
  readonly isRaw: boolean;
}

const KB = 1024;

export const USUAL_RULES: RouteRules = {
  roles: [],
  isPublic: false,
  bodyBytes: 64 * KB,
  bodyMs: 8_000,
  answerMs: 10_000,
  isRaw: false,
  isForShed: false,
};

const RULES = 'routeRules';

declare module 'fastify' {
  interface FastifyContextConfig {
    rules?: RouteRules;
  }
}

function statedRules(handler: object): Partial<RouteRules> | undefined {
  return Reflect.getMetadata(RULES, handler);
}

/** The rules that a handler or its decorators state; the usual ones for the rest. */
export function rulesOf(handler: object): RouteRules {
  return { ...USUAL_RULES, ...statedRules(handler) };
}

function Rule(rules: Partial<RouteRules>) {
  return (target: object, key: string | symbol, descriptor: PropertyDescriptor): void => {
    const handler: object = descriptor.value;
    Reflect.defineMetadata(RULES, { ...statedRules(handler), ...rules }, handler);
    RouteConfig({ rules: rulesOf(handler) })(target, key, descriptor);
  };
}

/** The roles that may call a route. */
export const Allow = (...roles: readonly Role[]) => Rule({ roles });

/** Every role may call the route, but somebody must be signed in. */
export const ForEveryRole = () => Allow(...ROLES);

/** At a device of the shed too, where people are known by four digits alone. */
export const ForShed = () => Rule({ isForShed: true });

/** Anybody may call the route, signed in or not. */
export const Public = () => Rule({ isPublic: true });

/** A longer list than usual: a chart of 200 lines, a round of 2,000 readings. */
export const TakesList = () => Rule({ bodyBytes: 512 * KB });

/** Photos: one of 3 MB, or a round's smaller ones. A weak signal takes its time. */
export const TakesPhotos = () => Rule({ bodyBytes: 8192 * KB, bodyMs: 120_000, answerMs: 130_000 });

/** A whole file, read and written by a thread of its own. */
export const TakesFile = () =>
  Rule({ bodyBytes: 24 * KB * KB, bodyMs: 120_000, answerMs: 300_000, isRaw: true });

/** Answered by a thread of its own that may have others to serve first. */
export const TakesLong = () => Rule({ answerMs: 60_000 });

/** Stays open for hours: a feed of what changes. */
export const StaysOpen = () => Rule({ answerMs: 2 ** 31 - 1 });
