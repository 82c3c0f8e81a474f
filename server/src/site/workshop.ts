import { Injectable } from '@nestjs/common';
import type { UpdateWorkshopDto, WorkshopDto } from '@yugator/contracts';
import { figuresWithDefaults, isRecord, PLAIN_CLIMATE, withDefaults } from '@yugator/core';
import type { Climate, HouseFigures, HouseRules } from '@yugator/core';
import { UnitOfWork } from '../database/unitOfWork.js';
import { notFound, stale } from '../problem/problem.js';
import { Site } from '../models/site.model.js';
import { storedList, storedObject } from '../database/storedJson.js';

/** The house rules of a site, the default wherever nothing was chosen. */
export function rulesOf(site: Site): HouseRules {
  return withDefaults(storedObject(site.houseRules));
}

/** The crew's own figures, as shipped wherever none was chosen. */
export function figuresOf(site: Site): HouseFigures {
  return figuresWithDefaults(storedObject(site.houseFigures));
}

/** The temperatures of the site, month by month; a plain year where nobody said. Throws where the table holds something else. */
export function climateOf({ climate }: Pick<Site, 'climate'>): Climate {
  const months = storedList(climate).map((month) => {
    const { low, high } = isRecord(month) ? month : {};
    if (typeof low !== 'number' || typeof high !== 'number') throw new Error('A stored month is none.');
    return { low, high };
  });
  return months.length ? months : PLAIN_CLIMATE;
}

function toDto(site: Site): WorkshopDto {
  const { panLitres, extractorLitres, usedOilLitres, version } = site;
  return {
    rules: rulesOf(site),
    figures: figuresOf(site),
    panLitres,
    extractorLitres,
    usedOilLitres,
    climate: climateOf(site).map((month) => ({ ...month })),
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

  async update({ version, rules, figures, climate, ...vessels }: UpdateWorkshopDto): Promise<WorkshopDto> {
    return this.work.run(async () => {
      const site = await Site.findOne({ lock: true });
      if (!site) throw notFound('site');
      if (site.version !== version) throw stale('page of house rules', toDto(site));
      await site.update({
        ...vessels,
        houseRules: rules,
        houseFigures: figures,
        climate: climate ?? site.climate,
        version: version + 1,
      });
      this.work.changed('site', 'jobs');
      return toDto(site);
    });
  }
}
