import { Module } from '@nestjs/common';
import { SiteSettingsController } from './siteSettings.controller.js';
import { SiteSettings } from './siteSettings.js';
import { WorkshopController } from './workshop.controller.js';
import { Workshop } from './workshop.js';

/** How the site and its shop are set. */
@Module({
  controllers: [SiteSettingsController, WorkshopController],
  providers: [SiteSettings, Workshop],
  exports: [Workshop],
})
export class SiteModule {}
