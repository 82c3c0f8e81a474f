import { comingNeeds, wantsMakers } from '@yugator/core';
import type { CivilDate, Fit, ItemArticle, NeedingWork } from '@yugator/core';
import { rulesOn } from '../machine/rulesOn.js';
import { storedCardOrEmpty } from '../machine/storedCard.js';
import { isCovered } from '../machine/warrantyOf.js';
import type { ScheduledMachine } from '../schedule/fleetSchedule.js';
import type { SiteNow } from '../site/siteCalendar.js';

/** What a machine takes from the shelf up to a day: by what fits it, else by what the lines of its books name. */
export function machineNeeds(
  { machine, schedule }: ScheduledMachine,
  fits: readonly Fit[],
  ofLines: readonly ItemArticle[],
  { site, today }: SiteNow,
  until: CivilDate,
): NeedingWork[] {
  const isUnderWarranty = isCovered(machine, schedule.life, today);
  return comingNeeds(schedule.comingUntil(until), {
    fits,
    ofLines,
    spec: storedCardOrEmpty(machine.spec),
    makersOnly: wantsMakers(rulesOn(machine, site).parts, isUnderWarranty) !== null,
  });
}
