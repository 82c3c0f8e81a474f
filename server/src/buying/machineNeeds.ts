import { asPlanned, comingNeeds, wantsMakers } from '@yugator/core';
import type { CivilDate, Fit, ItemArticle, NeedingWork } from '@yugator/core';
import { rulesOn } from '../machine/rulesOn.js';
import { storedCardOrEmpty } from '../machine/storedCard.js';
import { isCovered } from '../machine/warrantyOf.js';
import type { ScheduledMachine } from '../schedule/fleetSchedule.js';
import type { SiteNow } from '../site/siteCalendar.js';

const NOTHING_PLANNED: ReadonlyMap<string, readonly CivilDate[]> = new Map();

/**
 * What a machine takes from the shelf up to a day: by what fits it, else by what the lines of its books name. `planned`: days on which its
 * items are planned, by their ids.
 */
export function machineNeeds(
  { machine, schedule }: ScheduledMachine,
  fits: readonly Fit[],
  ofLines: readonly ItemArticle[],
  { site, today }: SiteNow,
  until: CivilDate,
  planned: ReadonlyMap<string, readonly CivilDate[]> = NOTHING_PLANNED,
): NeedingWork[] {
  const isUnderWarranty = isCovered(machine, schedule.life, today);
  const items = schedule.answers.map(({ item }) => item);
  return comingNeeds(asPlanned(schedule.comingUntil(until), items, planned, until), {
    fits,
    ofLines,
    spec: storedCardOrEmpty(machine.spec),
    makersOnly: wantsMakers(rulesOn(machine, site).parts, isUnderWarranty) !== null,
  });
}
