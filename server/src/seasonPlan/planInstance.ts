import type { PlannedMachineDto } from '@yugator/contracts';
import {
  comingNeeds,
  daysBetween,
  plannerMachine,
  wantsMakers,
  withSettled,
  workPlaceOf,
  workTimes,
} from '@yugator/core';
import type {
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
  /** prices by article, in minor units */
  readonly prices: ReadonlyMap<string, number>;
}

/** What is planned, and when the workshop is open. */
export interface PlanTime {
  readonly span: PlanSpan;
  readonly until: CivilDate;
  readonly days: readonly WorkshopDay[];
}

/** A machine of the plan, and its names. */
export interface PlannedMachine {
  readonly planner: PlannerMachine;
  readonly told: PlannedMachineDto;
}

/** What the parts of each item are worth, in minutes of a mechanic. */
function worthOf(
  { machine, schedule }: ScheduledMachine,
  { fits, ofLines, prices }: TakesOfMachine,
  { site, today }: SiteNow,
  until: CivilDate,
): ReadonlyMap<string, number> {
  const takes = {
    fits,
    ofLines,
    spec: storedCardOrEmpty(machine.spec),
    makersOnly: wantsMakers(rulesOn(machine, site).parts, isCovered(machine, schedule.life, today)) !== null,
  };
  const perMinute = (site.labourRateMinor || USUAL_RATE_MINOR) / 60;
  const first = schedule.comingUntil(until).filter(({ nth }) => nth === 0);
  return new Map(
    first.map((work) => {
      const costs = comingNeeds([work], takes).map(({ articles: [article] }) =>
        article ? (prices.get(article.articleId) ?? 0) * article.quantity : 0,
      );
      return [work.item.id, costs.reduce((sum, cost) => sum + cost, 0) / perMinute];
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
function plannable(scheduled: ScheduledMachine, takes: TakesOfMachine, siteNow: SiteNow, until: CivilDate) {
  const times = timesOf(scheduled, siteNow);
  const worth = worthOf(scheduled, takes, siteNow, until);
  const items = scheduled.schedule.answers.flatMap((answer): PlannableItem[] => {
    const { id } = answer.item;
    const info = scheduled.info.get(id);
    const own = times.items.get(id);
    if (!own || workPlaceOf(answer.item, info?.minutes ?? 0, info?.doneIn ?? null) === 'walk') return [];
    return [{ answer, ...own, worth: worth.get(id) ?? 0, notBefore: 0 }];
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
  return items.length ? { day: daysBetween(today, card.onDay as CivilDate), items } : null;
}

/** A machine as the plan sees it, with the cards that the crew was told of. */
export function plannedMachine(
  scheduled: ScheduledMachine,
  takes: TakesOfMachine,
  cards: readonly VisitCard[],
  siteNow: SiteNow,
  { span, until, days }: PlanTime,
): PlannedMachine {
  const { machine, schedule } = scheduled;
  const base = { id: machine.id, schedule, ...plannable(scheduled, takes, siteNow, until) };
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
