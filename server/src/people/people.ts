import { Injectable } from '@nestjs/common';
import type { CreatePersonDto, PersonDto, UpdatePersonDto } from '@yugator/contracts';
import { Op } from 'sequelize';
import { v7 as uuid } from 'uuid';
import { UnitOfWork } from '../database/unitOfWork.js';
import { fault, fieldProblem, notFound, stale } from '../problem/problem.js';
import { hashPassword } from '../session/password.js';
import { Sessions } from '../session/sessions.js';
import { Person } from './person.model.js';
import { toPersonDto } from './toPersonDto.js';

/** The crew and what each may do. */
@Injectable()
export class People {
  constructor(
    private readonly work: UnitOfWork,
    private readonly sessions: Sessions,
  ) {}

  async list(): Promise<PersonDto[]> {
    const people = await Person.findAll({ order: ['name'] });
    return people.map(toPersonDto);
  }

  async create(fields: CreatePersonDto): Promise<PersonDto> {
    const passwordHash = await hashPassword(fields.password);
    return this.work.run(async () => {
      if (await Person.findOne({ where: { name: fields.name } })) {
        throw fieldProblem(
          fault(
            '/name',
            'taken',
            `There is already somebody called ${fields.name}. Add an initial to tell them apart.`,
          ),
        );
      }
      this.work.changed('people');
      const person = await Person.create({
        id: uuid(),
        name: fields.name,
        role: fields.role,
        passwordHash,
        active: true,
        version: 1,
      });
      return toPersonDto(person);
    });
  }

  /** Changes role, presence or password. A new password or leaving ends the person's sessions; one crew lead must remain. */
  async update(id: string, fields: UpdatePersonDto): Promise<PersonDto> {
    const passwordHash = fields.password ? await hashPassword(fields.password) : null;
    return this.work.run(async () => {
      const person = await Person.findByPk(id, { lock: true });
      if (!person) throw notFound('person');
      if (person.version !== fields.version) throw stale('person', toPersonDto(person));
      if (person.role === 'crewLead' && (fields.role !== 'crewLead' || !fields.active))
        await this.requireOtherLead(id);
      await person.update({
        role: fields.role,
        active: fields.active,
        version: person.version + 1,
        ...(passwordHash ? { passwordHash } : {}),
      });
      if (passwordHash || !fields.active) await this.sessions.endAll(id);
      this.work.changed('people');
      return toPersonDto(person);
    });
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
