import { Injectable } from '@nestjs/common';
import type { SiteSettingsDto, UpdateSiteSettingsDto } from '@yugator/contracts';
import { UnitOfWork } from '../database/unitOfWork.js';
import { notFound, stale } from '../problem/problem.js';
import { Site } from '../models/site.model.js';

function toDto(site: Site): SiteSettingsDto {
  const { hoursGrid, unitSystem, dateOrder, staleAfterDays, sessionIdleDays, labourRateMinor, version } =
    site;
  return { hoursGrid, unitSystem, dateOrder, staleAfterDays, sessionIdleDays, labourRateMinor, version };
}

/** What holds for the whole site. */
@Injectable()
export class SiteSettings {
  constructor(private readonly work: UnitOfWork) {}

  async read(): Promise<SiteSettingsDto> {
    const site = await Site.findOne();
    if (!site) throw notFound('site');
    return toDto(site);
  }

  async update({ version, ...settings }: UpdateSiteSettingsDto): Promise<SiteSettingsDto> {
    return this.work.run(async () => {
      const site = await Site.findOne({ lock: true });
      if (!site) throw notFound('site');
      if (site.version !== version) throw stale('page of settings', toDto(site));
      await site.update({ ...settings, version: version + 1 });
      this.work.changed('site', 'machines', 'jobs');
      return toDto(site);
    });
  }
}
