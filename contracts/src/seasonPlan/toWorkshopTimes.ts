import { civilDate } from '@yugator/core';
import type { WorkshopTimes } from '@yugator/core';
import type { UpdateWorkshopDaysDto } from './workshopDays.dto.js';

/** When the workshop is open, and who is in of those who are still with the crew (`isHere`, by id). */
export function toWorkshopTimes(
  { week, exceptions, hands, absences }: Omit<UpdateWorkshopDaysDto, 'version'>,
  isHere: (personId: string) => boolean,
): WorkshopTimes {
  return {
    week,
    exceptions: exceptions.map((each) => ({ ...each, on: civilDate(each.on) })),
    hands: hands.length
      ? hands
          .filter(({ personId }) => isHere(personId))
          .map(({ personId, week: own }) => ({ personId, minutes: own.map(({ minutes }) => minutes) }))
      : null,
    absences: absences.map(({ personId, from, until }) => ({
      personId,
      from: civilDate(from),
      until: civilDate(until),
    })),
  };
}
