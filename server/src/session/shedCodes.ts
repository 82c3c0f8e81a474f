import { Injectable } from '@nestjs/common';
import type { ChooseShedCodeDto, Role, ShedPersonDto, ShedSignInDto } from '@yugator/contracts';
import { Op } from 'sequelize';
import { AuditTrail } from '../audit/auditTrail.js';
import { Person } from '../models/person.model.js';
import type { ShedDevice } from '../models/session.model.js';
import { fault, fieldProblem, Problem } from '../problem/problem.js';
import { OwnPassword } from './ownPassword.js';
import type { From } from './ownPassword.js';
import { Passwords } from './passwords.js';
import { SignInGuard } from './signInGuard.js';

/** Who walks round machines. */
const AT_SHED: readonly Role[] = ['crewLead', 'mechanic', 'operator'];

/** Rows and columns of the keys, and what is chosen most besides (common practice): these are tried first. */
const COMMON: ReadonlySet<string> = new Set(['2580', '0852', '1004', '2001', '6969', '4200', '1379', '1397']);

/** Whether four digits are among those that are tried first: runs, pairs, repetitions, and years that people were born in. */
export function isCommonCode(code: string): boolean {
  const digits = [...code].map(Number);
  const steps = digits.slice(1).map((digit, index) => digit - (digits[index] ?? 0));
  const isRun = steps.every((step) => step === steps[0] && Math.abs(step) <= 1);
  const isPair = new Set(digits).size <= 2;
  const isYear = /^(19|20)/.test(code);
  const repeats = code.slice(0, 2) === code.slice(2);
  return isRun || isPair || isYear || repeats || COMMON.has(code);
}

function wrong(): Problem {
  return new Problem(401, 'Not in', 'Name and code do not go together. Check both and try again.');
}

/** The codes of four digits with which people go in at the devices of the shed. */
@Injectable()
export class ShedCodes {
  constructor(
    private readonly guard: SignInGuard,
    private readonly passwords: Passwords,
    private readonly own: OwnPassword,
    private readonly audit: AuditTrail,
  ) {}

  /** Who may choose their name there: the crew that walks round machines, as far as they have a code. */
  async people(): Promise<ShedPersonDto[]> {
    const people = await Person.findAll({
      where: { active: true, role: [...AT_SHED], shedCodeHash: { [Op.ne]: null } },
      order: ['name', 'id'],
    });
    return people.map(({ id, name }) => ({ id, name }));
  }

  /** Gives somebody a code who knows their password. */
  async choose(caller: Person, { present, code }: ChooseShedCodeDto, from: From): Promise<void> {
    await this.own.require(caller, present, from);
    if (isCommonCode(code))
      throw fieldProblem(
        fault('/code', 'common', 'This is one of the codes that are tried first. Take four other digits.'),
      );
    await caller.update({ shedCodeHash: await this.passwords.hash(code) });
    await this.audit.note({
      act: 'codeChanged',
      person: caller,
      subject: caller.name,
      address: from.address,
    });
  }

  /** Takes somebody's code away: their name no longer stands at the devices of the shed. */
  async forget(caller: Person, address: string): Promise<void> {
    await caller.update({ shedCodeHash: null });
    await this.audit.note({ act: 'codeChanged', person: caller, subject: `${caller.name}, none`, address });
  }

  /** The person whom name and code belong to. Refuses a wrong one (401), and whoever tried too often (429). */
  async check({ personId, code }: ShedSignInDto, shed: ShedDevice, address: string): Promise<Person> {
    const found = await Person.findByPk(personId);
    const person = found?.active && AT_SHED.includes(found.role) ? found : null;
    try {
      await this.guard.attemptCode(personId, shed.id, async () => {
        if (!(await this.passwords.matches(code, person?.shedCodeHash ?? null))) throw wrong();
      });
    } catch (error) {
      await this.note(error, `${found?.name ?? 'nobody'} at ${shed.name}`, address);
      throw error;
    }
    if (!person) throw wrong();
    return person;
  }

  private async note(error: unknown, subject: string, address: string): Promise<void> {
    if (!(error instanceof Problem) || error.status >= 500) return;
    if (error.status === 401) await this.audit.note({ act: 'codeRefused', person: null, subject, address });
    else await this.audit.noteOnce({ act: 'codeSlowed', person: null, subject, address });
  }
}
