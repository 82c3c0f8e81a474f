import { Injectable } from '@nestjs/common';
import { Clock } from '../clock/clock.js';
import { Problem } from '../problem/problem.js';
import { Failures } from './failures.js';
import type { Patience } from './failures.js';

/** Who tries, and from where. */
export interface Attempt {
  /** the id of the person meant, or the folded name where there is none of it */
  readonly account: string;
  readonly address: string;
  /** this person signed in from this device before */
  readonly isKnownDevice: boolean;
}

/** Together at most 100 failures of an account within an hour: whoever guesses cannot use up what the person's own devices have. */
const OF_ACCOUNT: Patience = { free: 5, longestSeconds: 60, mostAnHour: 80 };
const OF_KNOWN_DEVICES: Patience = { free: 8, longestSeconds: 60, mostAnHour: 20 };
const OF_ADDRESS: Patience = { free: 20, longestSeconds: 30, mostAnHour: 300 };
const OF_ALL: Patience = { free: 100, longestSeconds: 5, mostAnHour: 2000 };

/** Four digits are guessed within ten thousand attempts: at ten an hour that takes a month and a half of nobody looking at the list. */
const OF_CODE: Patience = { free: 3, longestSeconds: 60, mostAnHour: 10 };
const OF_SHED: Patience = { free: 8, longestSeconds: 60, mostAnHour: 40 };

type Rule = readonly [key: string, patience: Patience];

function rulesFor({ account, address, isKnownDevice }: Attempt): readonly Rule[] {
  if (isKnownDevice) return [[`known ${account}`, OF_KNOWN_DEVICES]];
  return [
    [`account ${account}`, OF_ACCOUNT],
    [`address ${address}`, OF_ADDRESS],
    ['all', OF_ALL],
  ];
}

/** Letters and digits of a name without accents, widths, marks and case: what the database may take for the same name. */
export function foldedName(name: string): string {
  return name
    .normalize('NFKD')
    .replace(/[^\p{L}\p{N}]/gu, '')
    .toLowerCase()
    .slice(0, 60);
}

function tooMany(waitMs: number, wayOut: string): Problem {
  const seconds = Math.ceil(waitMs / 1000);
  const wait = seconds < 90 ? `${seconds} seconds` : `${Math.ceil(seconds / 60)} minutes`;
  const detail = `That did not work too often. Wait ${wait} and try again, or ${wayOut}.`;
  return new Problem(429, 'Too many attempts', detail, [], { retryAfter: seconds });
}

/** Slows whoever guesses passwords, by account, by address and altogether, and leaves the crew's own devices alone. */
@Injectable()
export class SignInGuard {
  private readonly failures = new Failures();

  constructor(private readonly clock: Clock) {}

  /**
   * Makes an attempt that fails where `check` throws. It counts as failed from its beginning, so that many at once gain nothing;
   * one that succeeds, or could not be made, does not count. Throws a {@link Problem} (429) while it has to wait.
   */
  attempt<T>(attempt: Attempt, check: () => Promise<T>): Promise<T> {
    return this.under(rulesFor(attempt), 'use a device on which you signed in before', check);
  }

  /** The same for a code of four digits at a device of the shed. */
  attemptCode<T>(personId: string, shedDeviceId: string, check: () => Promise<T>): Promise<T> {
    return this.under(
      [
        [`code ${personId}`, OF_CODE],
        [`shed ${shedDeviceId}`, OF_SHED],
      ],
      'sign in with your password',
      check,
    );
  }

  private async under<T>(rules: readonly Rule[], wayOut: string, check: () => Promise<T>): Promise<T> {
    const now = this.clock.now();
    const wait = Math.max(...rules.map(([key, patience]) => this.failures.waitFor(key, patience, now)));
    if (wait > 0) throw tooMany(wait, wayOut);
    for (const [key] of rules) this.failures.add(key, now);
    try {
      const result = await check();
      for (const [key] of rules) this.failures.takeBack(key, now);
      return result;
    } catch (error) {
      const wasMade = error instanceof Problem && error.status < 500;
      if (!wasMade) for (const [key] of rules) this.failures.takeBack(key, now);
      throw error;
    }
  }
}
