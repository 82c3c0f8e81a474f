import type { CookieSerializeOptions } from '@fastify/cookie';

export const SESSION_COOKIE = 'yugator_session';
export const SESSION_DAYS = 30;

/** Out of reach of scripts and of other sites. */
export const COOKIE_OPTIONS: CookieSerializeOptions = {
  httpOnly: true,
  sameSite: 'strict',
  path: '/',
  maxAge: SESSION_DAYS * 86_400,
};
