import { addDays } from '@yugator/core';
import type { CivilDate } from '@yugator/core';
import { v7 as uuid } from 'uuid';
import { WorkshopAbsence, WorkshopHand, WorkshopWeekday } from '../models/plan.model.js';

/** By weekday, 0 for Monday: minutes of the mechanic and of the crew lead, and machines that find room. */
const WEEK = [
  { weekday: 1, mechanic: 360, lead: 240, bays: 7 },
  { weekday: 4, mechanic: 240, lead: 0, bays: 4 },
] as const;
/** After the weeks that the crew is told of. */
const AWAY = { from: 35, until: 41 };

/** Two in the workshop on Tuesdays, one on Friday afternoons, and a week on which the crew lead is away. */
export async function writeDemoWorkshop(
  { lead, mechanic }: { readonly lead: string; readonly mechanic: string },
  today: CivilDate,
): Promise<void> {
  await WorkshopWeekday.bulkCreate(
    WEEK.map((day) => ({ weekday: day.weekday, minutes: day.mechanic + day.lead, bays: day.bays })),
  );
  await WorkshopHand.bulkCreate(
    WEEK.flatMap((day) => [
      { personId: mechanic, weekday: day.weekday, minutes: day.mechanic },
      { personId: lead, weekday: day.weekday, minutes: day.lead },
    ]),
  );
  await WorkshopAbsence.create({
    id: uuid(),
    personId: lead,
    fromDay: addDays(today, AWAY.from),
    untilDay: addDays(today, AWAY.until),
    note: 'Course',
  });
}
