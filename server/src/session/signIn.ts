import { Injectable } from '@nestjs/common';
import type { SignInDto } from '@yugator/contracts';
import { AuditTrail } from '../audit/auditTrail.js';
import { Person } from '../models/person.model.js';
import { Problem } from '../problem/problem.js';
import { KnownDevices } from './knownDevices.js';
import { Passwords } from './passwords.js';
import { foldedName, SignInGuard } from './signInGuard.js';

/** One sentence for both, so that nobody learns which names there are. */
function wrong(): Problem {
  return new Problem(401, 'Not signed in', 'Name and password do not go together. Check both and try again.');
}

/** Signing in by name and password. */
@Injectable()
export class SignIn {
  constructor(
    private readonly guard: SignInGuard,
    private readonly passwords: Passwords,
    private readonly devices: KnownDevices,
    private readonly audit: AuditTrail,
  ) {}

  /**
   * The person whom name and password belong to. Refuses a wrong name or password without saying which (401), and whoever tried
   * too often (429); `deviceCookie` says who signed in on the device before.
   */
  async check({ name, password }: SignInDto, address: string, deviceCookie?: string): Promise<Person> {
    const person = await Person.findOne({ where: { name } });
    const isKnownDevice = person !== null && (await this.devices.people(deviceCookie)).includes(person.id);
    // The database may find a person under many spellings; attempts count for the person, not for the spelling.
    const account = person?.id ?? foldedName(name);
    try {
      await this.guard.attempt({ account, address, isKnownDevice }, async () => {
        const hash = person?.active ? person.passwordHash : null;
        if (!(await this.passwords.matches(password, hash))) throw wrong();
      });
    } catch (error) {
      await this.note(error, person, address);
      throw error;
    }
    if (!person) throw wrong();
    return person;
  }

  private async note(error: unknown, person: Person | null, address: string): Promise<void> {
    if (!(error instanceof Problem) || error.status >= 500) return;
    const subject = person?.name ?? 'an unknown name';
    if (error.status === 401) await this.audit.note({ act: 'signInRefused', person: null, subject, address });
    else await this.audit.noteOnce({ act: 'signInSlowed', person: null, subject, address });
  }
}
