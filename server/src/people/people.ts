import { Injectable } from '@nestjs/common';
import type { ChangePasswordDto, CreatePersonDto, PersonDto, UpdatePersonDto } from '@yugator/contracts';
import { Op } from 'sequelize';
import { v7 as uuid } from 'uuid';
import type { Note } from '../audit/auditTrail.js';
import { AuditTrail } from '../audit/auditTrail.js';
import { UnitOfWork } from '../database/unitOfWork.js';
import { fault, fieldProblem, notFound, stale } from '../problem/problem.js';
import { OwnPassword } from '../session/ownPassword.js';
import type { From } from '../session/ownPassword.js';
import { Passwords } from '../session/passwords.js';
import { Sessions } from '../session/sessions.js';
import { passwordFaults } from './passwordFaults.js';
import { Person } from '../models/person.model.js';
import { toPersonDto } from './toPersonDto.js';

/** Who asks, and from where. */
export interface By {
  readonly caller: Person;
  readonly address: string;
}

/** The crew and what each may do. */
@Injectable()
export class People {
  constructor(
    private readonly work: UnitOfWork,
    private readonly sessions: Sessions,
    private readonly passwords: Passwords,
    private readonly own: OwnPassword,
    private readonly audit: AuditTrail,
  ) {}

  async list(): Promise<PersonDto[]> {
    const people = await Person.findAll({ order: ['name'] });
    return people.map(toPersonDto);
  }

  async create({ name, role, password }: CreatePersonDto, { caller, address }: By): Promise<PersonDto> {
    const passwordHash = await this.newHash(password, name);
    return this.work.run(async () => {
      if (await Person.findOne({ where: { name } })) {
        throw fieldProblem(
          fault(
            '/name',
            'taken',
            `There is already somebody called ${name}. Add an initial to tell them apart.`,
          ),
        );
      }
      this.work.changed('people');
      const person = await Person.create({ id: uuid(), name, role, passwordHash, active: true, version: 1 });
      await this.audit.note({ act: 'personAdded', person: caller, subject: `${name}, ${role}`, address });
      return toPersonDto(person);
    });
  }

  /** Changes role, presence or password. A new password or leaving ends the person's sessions; one crew lead must remain. */
  async update(id: string, fields: UpdatePersonDto, by: By): Promise<PersonDto> {
    const known = await Person.findByPk(id);
    if (!known) throw notFound('person');
    const passwordHash = fields.password ? await this.newHash(fields.password, known.name) : null;
    return this.work.run(async () => {
      const person = await Person.findByPk(id, { lock: true });
      if (!person) throw notFound('person');
      if (person.version !== fields.version) throw stale('person', toPersonDto(person));
      if (person.role === 'crewLead' && (fields.role !== 'crewLead' || !fields.active))
        await this.requireOtherLead(id);
      for (const note of changesOf(person, fields, by)) await this.audit.note(note);
      await person.update({
        role: fields.role,
        active: fields.active,
        version: person.version + 1,
        passwordHash: passwordHash ?? person.passwordHash,
      });
      if (passwordHash || !fields.active) await this.sessions.endAll(id);
      this.work.changed('people');
      return toPersonDto(person);
    });
  }

  /** Gives somebody another password who knows the present one, and ends their sessions everywhere else. */
  async changeOwnPassword(
    caller: Person,
    { present, password }: ChangePasswordDto,
    sessionId: string,
    from: From,
  ): Promise<void> {
    await this.own.require(caller, present, from);
    const { address } = from;
    const passwordHash = await this.newHash(password, caller.name);
    await this.work.run(async () => {
      await caller.update({ passwordHash, version: caller.version + 1 });
      await this.sessions.endAll(caller.id, sessionId);
      await this.audit.note({ act: 'passwordChanged', person: caller, subject: caller.name, address });
      this.work.changed('people');
    });
  }

  private newHash(password: string, name: string): Promise<string> {
    const faults = passwordFaults(password, name);
    if (faults.length) throw fieldProblem(...faults);
    return this.passwords.hash(password);
  }

  private async requireOtherLead(id: string): Promise<void> {
    const others = await Person.findAll({
      where: { role: 'crewLead', active: true, id: { [Op.ne]: id } },
      lock: true,
    });
    if (others.length === 0) {
      throw fieldProblem(
        fault('/role', 'lastCrewLead', 'One crew lead must remain. Make somebody else crew lead first.'),
      );
    }
  }
}

/** What a change of somebody is called in the audit list. */
function changesOf(person: Person, fields: UpdatePersonDto, { caller, address }: By): Note[] {
  const note = (act: Note['act'], subject: string): Note => ({ act, subject, person: caller, address });
  const notes: Note[] = [];
  if (fields.role !== person.role)
    notes.push(note('roleChanged', `${person.name}: ${person.role} to ${fields.role}`));
  if (fields.active !== person.active)
    notes.push(note(fields.active ? 'personReturned' : 'personLeft', person.name));
  if (fields.password) notes.push(note('passwordChanged', person.name));
  return notes;
}
