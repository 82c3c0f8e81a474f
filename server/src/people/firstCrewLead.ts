import { Injectable } from '@nestjs/common';
import type { FirstCrewLeadDto, WelcomeDto } from '@yugator/contracts';
import { v7 as uuid } from 'uuid';
import { BookCatalogue } from '../books/bookCatalogue.js';
import { UnitOfWork } from '../database/unitOfWork.js';
import { Problem } from '../problem/problem.js';
import { hashPassword } from '../session/password.js';
import { Site, SITE_DEFAULTS } from '../site/site.model.js';
import { Person } from './person.model.js';

/** One row only can have it, so two first visitors at once cannot both win. */
const THE_SITE = '00000000-0000-7000-8000-000000000001';

/** The beginning of an empty Yugator. */
@Injectable()
export class FirstCrewLead {
  constructor(
    private readonly work: UnitOfWork,
    private readonly catalogue: BookCatalogue,
  ) {}

  async welcome(): Promise<WelcomeDto> {
    const site = await Site.findOne();
    return { needsCrewLead: site === null, demonstration: site?.demonstration ?? false };
  }

  /** Makes the site, its crew lead and the service books that ship with the program. Refused once there is a site. */
  async create(fields: FirstCrewLeadDto): Promise<Person> {
    const passwordHash = await hashPassword(fields.password);
    return this.work.run(async () => {
      if (await Site.findOne({ lock: true })) {
        throw new Problem(
          409,
          'Already set up',
          'This Yugator already has a crew lead. Ask that person for a sign-in.',
        );
      }
      await Site.create({
        id: THE_SITE,
        name: fields.siteName,
        timeZone: fields.timeZone,
        currency: 'USD',
        demonstration: false,
        ...SITE_DEFAULTS,
      });
      await this.catalogue.load();
      return Person.create({
        id: uuid(),
        name: fields.name,
        role: 'crewLead',
        passwordHash,
        active: true,
        version: 1,
      });
    });
  }
}
