import { addDays, civilDate, dayLoads, firstPlan, isTooFull, TOLD_DAYS, visitsJudge } from '@yugator/core';
import type { PlannedVisit, PlannerInstance, SeasonPlan } from '@yugator/core';
import { Person } from '../models/person.model.js';
import type { SeasonPlans } from './seasonPlan.js';

/** Days in which a day that is too full is seen at once. */
const SEEN_DAYS = 14;

/** The visits that the crew of the demonstration was told of: those of the coming four weeks. */
function toldVisits(plan: SeasonPlan): SeasonPlan {
  return plan.map((visits) => visits.filter(({ day }) => day > 0 && day < TOLD_DAYS));
}

/** The plan with one visit more on a day, taken from another; null where its machine may not come then. */
function withMoved(
  instance: PlannerInstance,
  plan: SeasonPlan,
  machine: number,
  visit: PlannedVisit,
  day: number,
): SeasonPlan | null {
  const own = (plan[machine] ?? []).filter((each) => each !== visit);
  if (own.some((each) => each.day === day)) return null;
  const moved = [...own, { ...visit, day }].sort((a, b) => a.day - b.day);
  if (visitsJudge(instance, machine)(moved) === null) return null;
  return plan.map((visits, at) => (at === machine ? moved : visits));
}

/** The plan with more on one day than there is time for: somebody promised too much. */
function overfull(instance: PlannerInstance, plan: SeasonPlan): SeasonPlan {
  const loads = dayLoads(instance, plan).filter(({ day }) => day > 0 && day < SEEN_DAYS);
  const [fullest] = loads.sort((a, b) => a.minutes - a.taken - (b.minutes - b.taken));
  if (!fullest) return plan;
  const { day } = fullest;
  let now = plan;
  for (const [machine, visits] of plan.entries())
    for (const visit of visits) {
      const load = dayLoads(instance, now).find((each) => each.day === day);
      if (!load || isTooFull(load)) return now;
      if (visit.day !== day) now = withMoved(instance, now, machine, visit, day) ?? now;
    }
  return now;
}

/** Publishes a plan for the coming four weeks of the demonstration: with a day that is too full, and a visit that is locked. */
export async function publishDemoPlan(plans: SeasonPlans): Promise<void> {
  const lead = await Person.findOne({ where: { role: 'crewLead' } });
  if (!lead) return;
  const { instance, machines, today, version } = await plans.read();
  const told = overfull(instance, toldVisits(firstPlan(instance)));
  const cards = told.flatMap((visits, at) =>
    visits.map(({ day, items }) => ({
      machineId: instance.machines[at]?.id ?? '',
      on: addDays(civilDate(today), day),
      itemIds: items.flatMap((place) => machines[at]?.items[place]?.id ?? []),
      isLocked: false,
    })),
  );
  const last = cards.reduce((at, card, index) => (card.on >= (cards[at]?.on ?? '') ? index : at), 0);
  await plans.publish(
    { cards: cards.map((card, at) => ({ ...card, isLocked: at === last })), version },
    lead,
  );
}
