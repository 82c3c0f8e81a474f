import { randomInt, timingSafeEqual } from 'node:crypto';

/** Letters and digits that nobody takes for each other. */
const SIGNS = 'ABCDEFGHJKLMNPQRSTUVWXYZ23456789';
const LENGTH = 8;

/** A code of eight signs, such as `7KM2-QX9D`: 40 bits, of which an attacker has few tries. */
export function newSetUpCode(): string {
  const signs = Array.from({ length: LENGTH }, () => SIGNS[randomInt(SIGNS.length)] ?? '').join('');
  return `${signs.slice(0, 4)}-${signs.slice(4)}`;
}

function bare(code: string): Buffer {
  return Buffer.from(code.toUpperCase().replace(/[^A-Z0-9]/g, ''));
}

/** The code that proves that whoever sets Yugator up also started it. */
export class SetUpCode {
  /** null: nobody can set it up */
  constructor(private readonly code: string | null) {}

  isRight(typed: string): boolean {
    if (this.code === null) return false;
    const [right, given] = [bare(this.code), bare(typed)];
    return right.length === given.length && timingSafeEqual(right, given);
  }
}
