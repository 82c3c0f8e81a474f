import { Injectable } from '@nestjs/common';
import { checkBody, WasteLitresDto } from '@yugator/contracts';
import type { UpdateWorkshopDto, WorkshopDto } from '@yugator/contracts';
import { figuresWithDefaults, isRecord, PLAIN_CLIMATE, withDefaults } from '@yugator/core';
import type { Climate, HouseFigures, HouseRules, Waste } from '@yugator/core';
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

/** What the containers of waste hold, in litres; as shipped where nobody said. Throws where the table holds something else. */
export function wasteLitresOf({ usedOilLitres, wasteLitres }: Site): Readonly<Record<Waste, number>> {
  const stored = storedObject(wasteLitres ?? null);
  if (!stored) return { ...PLAIN_WASTE, oil: usedOilLitres };
  const { faults, value } = checkBody(WasteLitresDto, stored);
  if (faults) throw new Error('A stored container of waste is none.');
  const { coolant, brakeFluid, fuel } = value;
  return { oil: usedOilLitres, coolant, brakeFluid, fuel };
}

/** What crews usually keep beside the used oil (common practice). */
const PLAIN_WASTE = { coolant: 20, brakeFluid: 5, fuel: 20 };

function toDto(site: Site): WorkshopDto {
  const { panLitres, extractorLitres, usedOilLitres, version } = site;
  const { coolant, brakeFluid, fuel } = wasteLitresOf(site);
  return {
    rules: rulesOf(site),
    figures: figuresOf(site),
    panLitres,
    extractorLitres,
    usedOilLitres,
    wasteLitres: { coolant, brakeFluid, fuel },
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

  async update(fields: UpdateWorkshopDto): Promise<WorkshopDto> {
    const { version, rules, figures, climate, wasteLitres, ...vessels } = fields;
    return this.work.run(async () => {
      const site = await Site.findOne({ lock: true });
      if (!site) throw notFound('site');
      if (site.version !== version) throw stale('page of house rules', toDto(site));
      await site.update({
        ...vessels,
        houseRules: rules,
        houseFigures: figures,
        climate: climate ?? site.climate,
        wasteLitres: wasteLitres ?? site.wasteLitres,
        version: version + 1,
      });
      this.work.changed('site', 'jobs');
      return toDto(site);
    });
  }
}
