import { Injectable } from '@nestjs/common';
import { civilDateAt, instantOf } from '@yugator/core';
import type { CivilDate, Instant } from '@yugator/core';
import { Clock } from '../clock/clock.js';
import { Problem } from '../problem/problem.js';
import { Site } from '../models/site.model.js';

/** The site and the date there. */
export interface SiteNow {
  readonly site: Site;
  readonly today: CivilDate;
  readonly now: Instant;
}

@Injectable()
export class SiteCalendar {
  constructor(private readonly clock: Clock) {}

  /** The site with its present moment and civil date; or those of `agoMs` earlier, when something was typed that arrives now. */
  async read(agoMs = 0): Promise<SiteNow> {
    const site = await Site.findOne();
    if (!site)
      throw new Problem(
        409,
        'Not set up yet',
        'This Yugator has no crew lead yet. Open its address in a browser to begin.',
      );
    const now = instantOf(this.clock.now() - agoMs);
    return { site, now, today: civilDateAt(now, site.timeZone) };
  }
}
