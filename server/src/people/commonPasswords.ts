import { dictionary } from '@zxcvbn-ts/language-common';

const MOST = 10_000;

/** The ten thousand passwords that people choose most, the commonest first in the list they are taken from. */
const COMMON: ReadonlySet<string> = new Set(dictionary.passwords.slice(0, MOST).map(String));

/** Whether a password is one of the commonest, also with figures and signs put before or after it: `password1234`. */
export function isCommonPassword(password: string): boolean {
  const lower = password.toLowerCase();
  const bare = lower.replace(/^[^\p{L}]+|[^\p{L}]+$/gu, '');
  return COMMON.has(lower) || COMMON.has(bare) || bare.length < 4;
}
