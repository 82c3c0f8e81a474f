import { Injectable } from '@nestjs/common';
import type { FirstCrewLeadDto, WelcomeDto } from '@yugator/contracts';
import { usualDateOrder } from '@yugator/core';
import { v7 as uuid } from 'uuid';
import { AuditTrail } from '../audit/auditTrail.js';
import { BookCatalogue } from '../books/bookCatalogue.js';
import { UnitOfWork } from '../database/unitOfWork.js';
import { fault, fieldProblem, Problem } from '../problem/problem.js';
import { Passwords } from '../session/passwords.js';
import { SetUpCode } from '../session/setUpCode.js';
import { SignInGuard } from '../session/signInGuard.js';
import { Site, SITE_DEFAULTS } from '../models/site.model.js';
import { passwordFaults } from './passwordFaults.js';
import { Person } from '../models/person.model.js';

/** One row only can have it, so two first visitors at once cannot both win. */
const THE_SITE = '00000000-0000-7000-8000-000000000001';

function wrongCode(): Problem {
  const detail =
    'This is not the set-up code. It stands where ./start was called; a new start has a new one.';
  return fieldProblem(fault('/setUpCode', 'wrong', detail));
}

function already(): Problem {
  return new Problem(
    409,
    'Already set up',
    'This Yugator already has a crew lead. Ask that person for a sign-in.',
  );
}

/** The beginning of an empty Yugator. */
@Injectable()
export class FirstCrewLead {
  constructor(
    private readonly work: UnitOfWork,
    private readonly catalogue: BookCatalogue,
    private readonly code: SetUpCode,
    private readonly guard: SignInGuard,
    private readonly passwords: Passwords,
    private readonly audit: AuditTrail,
  ) {}

  async welcome(): Promise<WelcomeDto> {
    const site = await Site.findOne();
    return { needsCrewLead: site === null, demonstration: site?.demonstration ?? false };
  }

  /**
   * Makes the site, its crew lead and the service books that ship with the program, for whoever has the set-up code. Refused
   * once there is a site.
   */
  async create(fields: FirstCrewLeadDto, address: string): Promise<Person> {
    if (await Site.count()) throw already();
    const attempt = { account: 'set-up code', address, isKnownDevice: false };
    await this.guard.attempt(attempt, () =>
      this.code.isRight(fields.setUpCode) ? Promise.resolve() : Promise.reject(wrongCode()),
    );
    const faults = passwordFaults(fields.password, fields.name);
    if (faults.length) throw fieldProblem(...faults);
    const passwordHash = await this.passwords.hash(fields.password);
    return this.work.run(async () => {
      if (await Site.findOne({ lock: true })) throw already();
      await Site.create({
        id: THE_SITE,
        name: fields.siteName,
        timeZone: fields.timeZone,
        currency: 'USD',
        demonstration: false,
        ...SITE_DEFAULTS,
        dateOrder: usualDateOrder(fields.timeZone),
      });
      await this.catalogue.load();
      const person = await Person.create({
        id: uuid(),
        name: fields.name,
        role: 'crewLead',
        passwordHash,
        active: true,
        version: 1,
      });
      await this.audit.note({ act: 'setUp', person, subject: fields.siteName, address });
      return person;
    });
  }
}
