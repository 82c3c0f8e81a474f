import type { CookieSerializeOptions } from '@fastify/cookie';
import type { FastifyReply, FastifyRequest } from 'fastify';

export type CookieName = 'session' | 'device' | 'shed';

/** Under TLS the browser itself holds such a cookie to this host and this path (RFC 6265bis, cookie name prefixes). */
const SECURE_PREFIX = '__Host-';

function isSecure({ protocol }: FastifyRequest): boolean {
  return protocol === 'https';
}

function nameOf(name: CookieName, request: FastifyRequest): string {
  return `${isSecure(request) ? SECURE_PREFIX : ''}yugator_${name}`;
}

/** Out of reach of scripts and of other sites. */
function options(request: FastifyRequest): CookieSerializeOptions {
  return { httpOnly: true, sameSite: 'strict', path: '/', secure: isSecure(request) };
}

export function readCookie(request: FastifyRequest, name: CookieName): string | undefined {
  return request.cookies[nameOf(name, request)];
}

export function setCookie(
  request: FastifyRequest,
  reply: FastifyReply,
  name: CookieName,
  value: string,
  days: number,
): void {
  reply.setCookie(nameOf(name, request), value, { ...options(request), maxAge: Math.round(days * 86_400) });
}

export function clearCookie(request: FastifyRequest, reply: FastifyReply, name: CookieName): void {
  reply.clearCookie(nameOf(name, request), options(request));
}
