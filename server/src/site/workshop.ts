import { Injectable } from '@nestjs/common';
import type { UpdateWorkshopDto, WorkshopDto } from '@yugator/contracts';
import { figuresWithDefaults, withDefaults } from '@yugator/core';
import type { HouseFigures, HouseRules } from '@yugator/core';
import { UnitOfWork } from '../database/unitOfWork.js';
import { notFound, stale } from '../problem/problem.js';
import { Site } from '../models/site.model.js';
import { storedObject } from '../database/storedJson.js';

/** The house rules of a site, the default wherever nothing was chosen. */
export function rulesOf(site: Site): HouseRules {
  return withDefaults(storedObject(site.houseRules));
}

/** The crew's own figures, as shipped wherever none was chosen. */
export function figuresOf(site: Site): HouseFigures {
  return figuresWithDefaults(storedObject(site.houseFigures));
}

function toDto(site: Site): WorkshopDto {
  const { panLitres, extractorLitres, usedOilLitres, version } = site;
  return {
    rules: rulesOf(site),
    figures: figuresOf(site),
    panLitres,
    extractorLitres,
    usedOilLitres,
    version,
  };
}

/** How the shop works. */
@Injectable()
export class Workshop {
  constructor(private readonly work: UnitOfWork) {}

  async read(): Promise<WorkshopDto> {
    const site = await Site.findOne();
    if (!site) throw notFound('site');
    return toDto(site);
  }

  async update({ version, rules, figures, ...vessels }: UpdateWorkshopDto): Promise<WorkshopDto> {
    return this.work.run(async () => {
      const site = await Site.findOne({ lock: true });
      if (!site) throw notFound('site');
      if (site.version !== version) throw stale('page of house rules', toDto(site));
      await site.update({ ...vessels, houseRules: rules, houseFigures: figures, version: version + 1 });
      this.work.changed('site', 'jobs');
      return toDto(site);
    });
  }
}
