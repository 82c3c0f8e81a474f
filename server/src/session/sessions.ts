import { createHash, randomBytes } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { Op } from 'sequelize';
import { Clock } from '../clock/clock.js';
import { Person } from '../people/person.model.js';
import { Problem } from '../problem/problem.js';
import { SESSION_DAYS } from './cookie.js';
import { passwordMatches } from './password.js';
import { Session } from './session.model.js';

const MS_PER_DAY = 86_400_000;

function hashOf(token: string): string {
  return createHash('sha256').update(token).digest('hex');
}

/** Who is signed in. */
@Injectable()
export class Sessions {
  constructor(private readonly clock: Clock) {}

  /** Signs somebody in and returns the token for the cookie. Refuses a wrong name or password without saying which. */
  async signIn(name: string, password: string): Promise<{ token: string; person: Person }> {
    const person = await Person.findOne({ where: { name } });
    const matches = await passwordMatches(password, person?.active ? person.passwordHash : null);
    if (!person || !matches) {
      throw new Problem(
        401,
        'Not signed in',
        'Name and password do not go together. Check both and try again.',
      );
    }
    return { token: await this.begin(person), person };
  }

  /** Begins a session of `person` and returns its token. */
  async begin(person: Person): Promise<string> {
    const token = randomBytes(32).toString('base64url');
    const now = this.clock.now();
    await Session.destroy({ where: { expiresAt: { [Op.lt]: new Date(now) } } });
    await Session.create({
      tokenHash: hashOf(token),
      personId: person.id,
      createdAt: new Date(now),
      expiresAt: new Date(now + SESSION_DAYS * MS_PER_DAY),
    });
    return token;
  }

  /** Who holds `token`; null once it expired, was signed out, or the person left. */
  async personOf(token: string): Promise<Person | null> {
    const session = await Session.findByPk(hashOf(token), { include: Person });
    if (!session?.person?.active || session.expiresAt.getTime() <= this.clock.now()) return null;
    return session.person;
  }

  async signOut(token: string): Promise<void> {
    await Session.destroy({ where: { tokenHash: hashOf(token) } });
  }

  /** Ends all sessions of a person: after a new password, or on leaving. */
  async endAll(personId: string): Promise<void> {
    await Session.destroy({ where: { personId } });
  }
}
