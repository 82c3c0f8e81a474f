import type { PlannedItemDto, PlannedMachineDto } from '@yugator/contracts';
import {
  blockedDays,
  civilDate,
  comingNeeds,
  daysBetween,
  daysUntilHere,
  DROP_COST,
  mendBy,
  minutesWorth,
  placesOf,
  plannerMachine,
  wantsMakers,
  withSettled,
  workPlaceOf,
  workTimes,
} from '@yugator/core';
import type {
  AnnualRule,
  Arrival,
  CivilDate,
  Fit,
  ItemArticle,
  NeededDays,
  PlannableDefect,
  PlannableItem,
  PlannableMachine,
  PlannerItem,
  PlannerMachine,
  PlanSpan,
  PublishedVisit,
  SettledVisit,
  WorkTimes,
  WorkshopDay,
} from '@yugator/core';
import { rulesOn } from '../machine/rulesOn.js';
import { storedCardOrEmpty } from '../machine/storedCard.js';
import { isCovered } from '../machine/warrantyOf.js';
import { mendingName } from '../defect/mendingName.js';
import { setUpOf } from '../job/setUpOf.js';
import { workOf } from '../job/storedCards.js';
import type { VisitCard } from '../models/plan.model.js';
import type { ScheduledMachine } from '../schedule/fleetSchedule.js';
import type { SiteNow } from '../site/siteCalendar.js';

/** What the shelf says of a machine. */
export interface TakesOfMachine {
  readonly fits: readonly Fit[];
  readonly ofLines: readonly ItemArticle[];
  /** by article: names, prices in minor units, what lies there, and what is to come */
  readonly articles: ReadonlyMap<string, { readonly name: string; readonly priceMinor: number }>;
  readonly onHand: ReadonlyMap<string, number>;
  readonly arrivals: ReadonlyMap<string, readonly Arrival[]>;
}

/** An open defect, and its words. */
export interface OpenDefect extends PlannableDefect {
  readonly words: string;
}

/** What the crew was told of a machine and is still to come, and what is wrong with it. */
export interface ToldOfMachine {
  readonly cards: readonly VisitCard[];
  readonly defects: readonly OpenDefect[];
}

/** What is planned, and when the workshop is open. */
export interface PlanTime {
  readonly span: PlanSpan;
  readonly days: readonly WorkshopDay[];
  readonly needed: readonly NeededDays[];
  /** when the yearly service is; null: by the house rule */
  readonly annual: AnnualRule | null;
}

/** A machine of the plan, and its names. */
export interface PlannedMachine {
  readonly planner: PlannerMachine;
  readonly told: PlannedMachineDto;
}

/** What the parts of an item are worth in minutes of a mechanic, days until all of them are here, and which of them are awaited. */
interface Parts extends Pick<PlannableItem, 'worth' | 'notBefore'> {
  readonly waitsFor: readonly string[];
}

const NO_PARTS: Parts = { worth: 0, notBefore: 0, waitsFor: [] };

/** What each item takes from the shelf the next time that it is done. */
function partsOf(
  { machine, schedule }: ScheduledMachine,
  { fits, ofLines, articles, onHand, arrivals }: TakesOfMachine,
  { site, today }: SiteNow,
): ReadonlyMap<string, Parts> {
  const takes = {
    fits,
    ofLines,
    spec: storedCardOrEmpty(machine.spec),
    makersOnly: wantsMakers(rulesOn(machine, site).parts, isCovered(machine, schedule.life, today)) !== null,
  };
  return new Map(
    schedule.answers.map(({ item, expectedOn }) => {
      // Whether and when it comes is for the plan to say.
      const on = expectedOn ?? today;
      const work = { item, nth: 0, earlyOn: on, expectedOn: on, lateOn: on };
      const needs = comingNeeds([work], takes).flatMap((need) => need.articles.slice(0, 1));
      const cost = needs.reduce(
        (sum, { articleId, quantity }) => sum + (articles.get(articleId)?.priceMinor ?? 0) * quantity,
        0,
      );
      const awaited = needs.flatMap(({ articleId, quantity }) => {
        const there = onHand.get(articleId) ?? 0;
        const days = daysUntilHere(quantity, there, arrivals.get(articleId) ?? [], today);
        return days > 0 ? [{ days, name: articles.get(articleId)?.name ?? '' }] : [];
      });
      return [
        item.id,
        {
          worth: minutesWorth(cost, site.labourRateMinor),
          notBefore: Math.max(0, ...awaited.map(({ days }) => days)),
          waitsFor: awaited.map(({ name }) => name),
        },
      ];
    }),
  );
}

/** What the work of a machine takes, by its facts: they are one object until one of them changes. */
const kept = new WeakMap<ScheduledMachine['facts'], { readonly of: string; readonly times: WorkTimes }>();

/** What the work of a machine takes in hands, reckoned once for the same machine under the same rules of the house. */
function timesOf(scheduled: ScheduledMachine, { site }: SiteNow): WorkTimes {
  const of = `${scheduled.machine.version} ${site.version}`;
  const known = kept.get(scheduled.facts);
  if (known?.of === of) return known.times;
  const times = workTimes(setUpOf(scheduled, site, null));
  kept.set(scheduled.facts, { of, times });
  return times;
}

/** The visit work of a machine, with what it takes in hands and parts. */
function plannable(
  scheduled: ScheduledMachine,
  parts: ReadonlyMap<string, Parts>,
  siteNow: SiteNow,
): Pick<PlannableMachine, 'setUp' | 'shared' | 'items'> {
  const times = timesOf(scheduled, siteNow);
  const items = scheduled.schedule.answers.flatMap((answer): PlannableItem[] => {
    const { id } = answer.item;
    const info = scheduled.info.get(id);
    const own = times.items.get(id);
    if (!own || workPlaceOf(answer.item, info?.minutes ?? 0, info?.doneIn ?? null) === 'walk') return [];
    const { worth, notBefore } = parts.get(id) ?? NO_PARTS;
    return [{ answer, ...own, worth, notBefore }];
  });
  return { setUp: times.setUp, shared: times.shared, items };
}

/** A card that is still to come as a visit of the plan; null where none of its work is planned any more. */
function visitOf(card: VisitCard, items: readonly PlannerItem[], today: CivilDate): SettledVisit | null {
  const places = placesOf(workOf(card), items);
  return places.length ? { day: daysBetween(today, civilDate(card.onDay)), items: places } : null;
}

/** Work of a machine by names, in the order of the plan. */
function toldItems(
  { items }: PlannerMachine,
  { schedule }: ScheduledMachine,
  parts: ReadonlyMap<string, Parts>,
  defects: readonly OpenDefect[],
  today: CivilDate,
): PlannedItemDto[] {
  const answers = new Map(schedule.answers.map((answer) => [answer.item.id, answer]));
  const defectsById = new Map(defects.map((defect) => [defect.id, defect]));
  return items.map(({ id }): PlannedItemDto => {
    const defect = defectsById.get(id);
    if (defect) {
      const { words, severity } = defect;
      const expectedOn = mendBy(defect);
      const state = expectedOn !== null && expectedOn < today ? 'overdue' : 'coming';
      return { id, name: mendingName(words), severity, state, expectedOn, components: [], waitsFor: [] };
    }
    const answer = answers.get(id);
    return {
      id,
      name: answer?.item.name ?? '',
      severity: null,
      state: answer?.state ?? 'fine',
      expectedOn: answer?.expectedOn ?? null,
      components: [...(answer?.item.components ?? [])],
      waitsFor: [...(parts.get(id)?.waitsFor ?? [])],
    };
  });
}

/** A machine as the plan sees it, with the cards that the crew was told of and that are still to come. */
export function plannedMachine(
  scheduled: ScheduledMachine,
  takes: TakesOfMachine,
  { cards, defects }: ToldOfMachine,
  siteNow: SiteNow,
  { span, days, needed, annual }: PlanTime,
): PlannedMachine {
  const { machine, schedule } = scheduled;
  const parts = partsOf(scheduled, takes, siteNow);
  const planner = plannerMachine(
    {
      id: machine.id,
      schedule,
      ...plannable(scheduled, parts, siteNow),
      defects,
      annual: annual ?? rulesOn(machine, siteNow.site).annual,
      locked: [],
      published: [],
    },
    span,
  );
  const visits = cards.flatMap((card) => {
    const visit = visitOf(card, planner.items, span.today);
    return visit && visit.day < span.horizon ? [{ ...visit, isLocked: card.isLocked }] : [];
  });
  const locked = visits.filter(({ isLocked }) => isLocked).map(({ day, items }) => ({ day, items }));
  const published = visits
    .filter(({ isLocked }) => !isLocked)
    .map(({ day, items }): PublishedVisit => ({ day, items, dropCost: DROP_COST }));
  const blocked = blockedDays(needed, machine.id, span.today, span.horizon);
  return {
    planner: withSettled({ ...planner, blocked, published }, locked, { days }),
    told: {
      id: machine.id,
      tag: machine.tag,
      name: machine.name,
      items: toldItems(planner, scheduled, parts, defects, span.today),
    },
  };
}
