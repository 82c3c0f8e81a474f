import type { PlannedMachineDto } from '@yugator/contracts';
import {
  civilDate,
  comingNeeds,
  daysBetween,
  daysUntilHere,
  plannerMachine,
  wantsMakers,
  withSettled,
  workPlaceOf,
  workTimes,
} from '@yugator/core';
import type {
  Arrival,
  CivilDate,
  Fit,
  ItemArticle,
  PlannableItem,
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
import { setUpOf } from '../job/setUpOf.js';
import type { VisitCard } from '../models/plan.model.js';
import type { ScheduledMachine } from '../schedule/fleetSchedule.js';
import type { SiteNow } from '../site/siteCalendar.js';

/** What a card that the crew was told of costs when it is taken back, in minutes: once in a while is fine. */
const DROP_COST = 12;
/** Where nobody said what labour costs, parts are set against this rate for an hour (an assumption). */
const USUAL_RATE_MINOR = 3_000;

/** What the shelf says of a machine. */
export interface TakesOfMachine {
  readonly fits: readonly Fit[];
  readonly ofLines: readonly ItemArticle[];
  /** by article: prices in minor units, what lies there, and what is to come */
  readonly prices: ReadonlyMap<string, number>;
  readonly onHand: ReadonlyMap<string, number>;
  readonly arrivals: ReadonlyMap<string, readonly Arrival[]>;
}

/** What is planned, and when the workshop is open. */
export interface PlanTime {
  readonly span: PlanSpan;
  readonly days: readonly WorkshopDay[];
}

/** A machine of the plan, and its names. */
export interface PlannedMachine {
  readonly planner: PlannerMachine;
  readonly told: PlannedMachineDto;
}

/** What the parts of an item are worth in minutes of a mechanic, and days until all of them are here. */
type Parts = Pick<PlannableItem, 'worth' | 'notBefore'>;

const NO_PARTS: Parts = { worth: 0, notBefore: 0 };

/** What each item takes from the shelf the next time that it is done. */
function partsOf(
  { machine, schedule }: ScheduledMachine,
  { fits, ofLines, prices, onHand, arrivals }: TakesOfMachine,
  { site, today }: SiteNow,
): ReadonlyMap<string, Parts> {
  const takes = {
    fits,
    ofLines,
    spec: storedCardOrEmpty(machine.spec),
    makersOnly: wantsMakers(rulesOn(machine, site).parts, isCovered(machine, schedule.life, today)) !== null,
  };
  const perMinute = (site.labourRateMinor || USUAL_RATE_MINOR) / 60;
  return new Map(
    schedule.answers.map(({ item, expectedOn }) => {
      // Whether and when it comes is for the plan to say.
      const on = expectedOn ?? today;
      const work = { item, nth: 0, earlyOn: on, expectedOn: on, lateOn: on };
      const needs = comingNeeds([work], takes).flatMap(({ articles }) => articles.slice(0, 1));
      const cost = needs.reduce(
        (sum, { articleId, quantity }) => sum + (prices.get(articleId) ?? 0) * quantity,
        0,
      );
      const days = needs.map(({ articleId, quantity }) =>
        daysUntilHere(quantity, onHand.get(articleId) ?? 0, arrivals.get(articleId) ?? [], today),
      );
      return [item.id, { worth: cost / perMinute, notBefore: Math.max(0, ...days) }];
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
function plannable(scheduled: ScheduledMachine, takes: TakesOfMachine, siteNow: SiteNow) {
  const times = timesOf(scheduled, siteNow);
  const parts = partsOf(scheduled, takes, siteNow);
  const items = scheduled.schedule.answers.flatMap((answer): PlannableItem[] => {
    const { id } = answer.item;
    const info = scheduled.info.get(id);
    const own = times.items.get(id);
    if (!own || workPlaceOf(answer.item, info?.minutes ?? 0, info?.doneIn ?? null) === 'walk') return [];
    return [{ answer, ...own, ...(parts.get(id) ?? NO_PARTS) }];
  });
  return { setUp: times.setUp, shared: times.shared, items };
}

/** A card as a visit of the plan: the items that it does by their places; null where none of them is planned any more. */
function visitOf(
  card: VisitCard,
  places: ReadonlyMap<string, number>,
  today: CivilDate,
): SettledVisit | null {
  const items = (card.items ?? []).flatMap(({ itemId }) => places.get(itemId) ?? []);
  return items.length ? { day: daysBetween(today, civilDate(card.onDay)), items } : null;
}

/** A machine as the plan sees it, with the cards that the crew was told of. */
export function plannedMachine(
  scheduled: ScheduledMachine,
  takes: TakesOfMachine,
  cards: readonly VisitCard[],
  siteNow: SiteNow,
  { span, days }: PlanTime,
): PlannedMachine {
  const { machine, schedule } = scheduled;
  const base = { id: machine.id, schedule, ...plannable(scheduled, takes, siteNow) };
  const planner = plannerMachine({ ...base, locked: [], published: [] }, span);
  const places = new Map(planner.items.map(({ id }, place) => [id, place]));
  const visits = cards.flatMap((card) => {
    const visit = visitOf(card, places, span.today);
    return visit && visit.day < span.horizon ? [{ ...visit, isLocked: card.isLocked }] : [];
  });
  const locked = visits.filter(({ isLocked }) => isLocked).map(({ day, items }) => ({ day, items }));
  const published = visits
    .filter(({ isLocked }) => !isLocked)
    .map(({ day, items }): PublishedVisit => ({ day, items, dropCost: DROP_COST }));
  const answers = new Map(schedule.answers.map((answer) => [answer.item.id, answer]));
  return {
    planner: withSettled({ ...planner, published }, locked, { days }),
    told: {
      id: machine.id,
      tag: machine.tag,
      name: machine.name,
      items: planner.items.map(({ id }) => {
        const answer = answers.get(id);
        return {
          id,
          name: answer?.item.name ?? '',
          state: answer?.state ?? 'fine',
          expectedOn: answer?.expectedOn ?? null,
        };
      }),
    },
  };
}
