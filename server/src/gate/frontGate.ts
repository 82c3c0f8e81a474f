import type { NestFastifyApplication } from '@nestjs/platform-fastify';
import type { FastifyInstance } from 'fastify';
import { ROLES } from '@yugator/contracts';
import { Problem } from '../problem/problem.js';
import type { RouteRules } from '../session/allow.js';
import { USUAL_RULES } from '../session/allow.js';
import type { CallerRequest } from '../session/caller.js';
import { Admission } from '../session/admission.js';
import type { KnownHosts } from './knownHosts.js';
import { typedAgoOf } from './typedAgo.js';
import { DOCUMENTS_POLICY, SECURITY_HEADERS } from './securityHeaders.js';

/** The pages that describe the API are no controller's; whoever is signed in may read them. */
const DOCUMENTS = /^\/api\/(docs|openapi\.json)/;
const OF_DOCUMENTS: RouteRules = { ...USUAL_RULES, roles: ROLES };

/** A year (RFC 6797). */
const STRICT_TRANSPORT = 'max-age=31536000';

function isApi(url: string): boolean {
  return /^\/api(\/|\?|$)/.test(url);
}

function rulesFor(request: CallerRequest): RouteRules {
  if (DOCUMENTS.test(request.routeOptions.url ?? '')) return OF_DOCUMENTS;
  return request.routeOptions.config.rules ?? USUAL_RULES;
}

/** At a device of the shed people read what everybody may read, and do what is stated to be for it: four digits are no password. */
function mayAtShed({ method }: CallerRequest, { roles, isForShed }: RouteRules): boolean {
  return isForShed || (method === 'GET' && ROLES.every((role) => roles.includes(role)));
}

function notAtShed(): Problem {
  const detail =
    'At a device of the shed there are readings and walk-rounds only. Sign in with your password elsewhere.';
  return new Problem(403, 'Not at the shed', detail);
}

/** What each route may take and how long, as its rules say. It must stand before the routes are made. */
export function boundRoutes(fastify: FastifyInstance): void {
  fastify.addHook('onRoute', (route) => {
    const rules = route.config?.rules ?? USUAL_RULES;
    route.bodyLimit = rules.bodyBytes;
    route.handlerTimeout = rules.answerMs;
  });
}

/** Stands before everything: who asks, from which page, under which name, and may they. No byte of a body is read before. */
export function guard(app: NestFastifyApplication, hosts: KnownHosts, isStrictlySecure = false): void {
  const fastify = app.getHttpAdapter().getInstance();
  fastify.addHook('onRequest', async (request: CallerRequest, reply) => {
    reply.headers(SECURITY_HEADERS);
    if (isStrictlySecure && request.protocol === 'https')
      reply.header('strict-transport-security', STRICT_TRANSPORT);
    hosts.requireKnown(request);
    if (!isApi(request.url)) return;
    reply.header('cache-control', 'no-store');
    hosts.requireOwnPage(request);
    if (request.is404) return;
    const rules = rulesFor(request);
    if (rules === OF_DOCUMENTS) reply.header('content-security-policy', DOCUMENTS_POLICY);
    if (rules.isPublic) return;
    const caller = await app.get(Admission).callerOf(request, reply);
    if (!caller) throw new Problem(401, 'Not signed in', 'Sign in and try again.');
    request.caller = caller;
    if (request.shedDevice && !mayAtShed(request, rules)) throw notAtShed();
    if (rules.roles.includes(caller.role)) {
      request.typedAgo = typedAgoOf(request);
      return;
    }
    await app.get(Admission).noteRefusal(request, caller);
    throw new Problem(403, 'Not allowed', 'Your role does not include this. Ask the crew lead.');
  });
}
