import { Injectable } from '@nestjs/common';
import type { Person } from '../models/person.model.js';
import { fault, fieldProblem } from '../problem/problem.js';
import { KnownDevices } from './knownDevices.js';
import { Passwords } from './passwords.js';
import { SignInGuard } from './signInGuard.js';

/** Where a request comes from. */
export interface From {
  readonly address: string;
  readonly deviceCookie: string | undefined;
}

/** The password of somebody who is signed in, asked once more before what only they may change. */
@Injectable()
export class OwnPassword {
  constructor(
    private readonly guard: SignInGuard,
    private readonly passwords: Passwords,
    private readonly devices: KnownDevices,
  ) {}

  /** Refuses a wrong one (422), and whoever tried too often (429). */
  async require(caller: Person, present: string, { address, deviceCookie }: From): Promise<void> {
    const isKnownDevice = (await this.devices.people(deviceCookie)).includes(caller.id);
    await this.guard.attempt({ account: caller.id, address, isKnownDevice }, async () => {
      if (await this.passwords.matches(present, caller.passwordHash)) return;
      throw fieldProblem(
        fault('/present', 'wrong', 'This is not your present password. Check it and try again.'),
      );
    });
  }
}
