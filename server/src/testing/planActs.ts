import type {
  PublishPlanDto,
  SeasonPlanDto,
  UpdateWorkshopDaysDto,
  WorkshopDaysDto,
} from '@yugator/contracts';
import type { Refused } from './fitActs.js';
import type { Yard } from './testApp.js';

export const CLOSED = { minutes: 0, bays: 0 };
const OPEN = { minutes: 240, bays: 2 };
/** Tuesdays and Fridays. */
export const WEEK = [CLOSED, OPEN, CLOSED, CLOSED, OPEN, CLOSED, CLOSED];
export const SAID = {
  week: WEEK,
  exceptions: [],
  hands: [],
  absences: [],
  needed: [],
  readyDays: 3,
  layUpDays: 21,
};

/** What the crew lead does with the days of the workshop and the plan. */
export function planActs(yard: () => Yard) {
  const readDays = async () => (await yard().ask<WorkshopDaysDto>('GET', '/api/workshop-days')).body;
  const writeDays = (body: UpdateWorkshopDaysDto) =>
    yard().ask<WorkshopDaysDto & Refused>('PUT', '/api/workshop-days', { body });
  const readPlan = async (weeks = 12) =>
    (await yard().ask<SeasonPlanDto>('GET', `/api/season-plan?weeks=${weeks}`)).body;
  const publish = (body: PublishPlanDto) =>
    yard().ask<SeasonPlanDto & Refused>('PUT', '/api/season-plan', { body });
  /** The yard with a workshop that is open, and its plan. */
  const openWorkshop = async (): Promise<SeasonPlanDto> => {
    const { version } = await readDays();
    const { body } = await writeDays({ ...SAID, version });
    expect(body.errors).toBeUndefined();
    return readPlan();
  };
  return { readDays, writeDays, readPlan, publish, openWorkshop };
}
