import type { CivilDate } from '../../calendar/civilDate.js';
import { seasonInYear } from '../../season/season.js';
import type { Season, SeasonYear } from '../../season/season.js';
import type { Participation } from '../../season/usePlan.js';
import type { MachineFacts } from '../machineSchedule.js';
import type { ScheduleItem } from '../item.js';
import type { SiteSettings } from '../scheduleContext.js';
import type { Trigger } from '../trigger.js';
import { addDays, daysBetween } from './slowCalendar.js';
import type { SlowPlan } from './slowMeter.js';

/** Days that are looked back or ahead over before it counts as always or never. */
const LOOK_DAYS = 1100;

/** Whether the days of a trigger wait for the machine to work. */
export function isInUse(trigger: Trigger, item: ScheduleItem): boolean {
  if (trigger.kind !== 'everyCalendar' && trigger.kind !== 'firstCalendar') return false;
  if (trigger.unit === 'month') return false;
  return trigger.inUse ?? (trigger.count < 32 && item.triggers.every(({ kind }) => kind !== 'storage'));
}

/** The days of a machine, one by one: at work, laid up, stopped. */
export class SlowDays implements SlowPlan {
  readonly isPlanned: boolean;
  /** from when nothing is expected of it, whatever the seasons say; null while they decide */
  private readonly stopped: CivilDate | null;
  private readonly years = new Map<string, SeasonYear | null>();
  private readonly partsOf = new Map<CivilDate, readonly Participation[]>();

  constructor(
    private readonly facts: MachineFacts,
    private readonly site: SiteSettings,
    readonly today: CivilDate,
    lastKnown: CivilDate,
  ) {
    const seasonsThatAre = facts.participation.filter(({ seasonId }) =>
      site.seasons.some(({ id, years }) => id === seasonId && years.length > 0),
    );
    this.isPlanned = seasonsThatAre.length > 0;
    const { kind, since } = facts.status;
    this.stopped = kind === 'inService' ? null : (since ?? lastKnown);
  }

  planned(on: CivilDate): number {
    return this.parts(on).reduce((sum, part) => sum + part.hoursPerWeek / 7, 0);
  }

  worksBySeason(on: CivilDate): boolean {
    return !this.isPlanned || this.parts(on).length > 0;
  }

  isStopped(on: CivilDate): boolean {
    return this.stopped !== null && on >= this.stopped;
  }

  works(on: CivilDate): boolean {
    return this.worksBySeason(on) && !this.isStopped(on);
  }

  isLaidUp(on: CivilDate): boolean {
    return !this.worksBySeason(on) || (this.facts.status.kind === 'laidUp' && this.isStopped(on));
  }

  /** First day of the present working time, while it rests of the next; '' for always, null where nobody knows. */
  beganOn(): CivilDate | '' | null {
    if (this.isStopped(this.today)) return null;
    let first: CivilDate | '' = this.today;
    if (!this.worksBySeason(this.today)) {
      const next = this.workingDayFrom(this.today);
      if (next === null) return null;
      first = next;
    } else {
      while (this.worksBySeason(addDays(first, -1))) {
        first = addDays(first, -1);
        if (daysBetween(first, this.today) >= LOOK_DAYS) {
          first = '';
          break;
        }
      }
    }
    const { kind, since } = this.facts.status;
    return kind === 'inService' && since !== null && since <= this.today && since > first ? since : first;
  }

  workingDayFrom(wanted: CivilDate): CivilDate | null {
    for (let on = wanted; daysBetween(this.today, on) <= 3653; on = addDays(on, 1)) {
      if (this.isStopped(on)) return null;
      if (this.worksBySeason(on)) return on;
    }
    return null;
  }

  /** Whether `on` is the first or last day of a season by its name, or, for null, of the machine's working time. */
  isEdge(on: CivilDate, name: string | null, edge: 'first' | 'last'): boolean {
    const season = this.site.seasons.find(
      (candidate) => candidate.name.toLowerCase() === name?.toLowerCase(),
    );
    if (name !== null && !season) return false;
    const works = (day: CivilDate) => (season ? this.seasonHas(season, day) : this.parts(day).length > 0);
    return works(on) && !works(addDays(on, edge === 'first' ? -1 : 1));
  }

  /** The day on which `days` of rest are over after the later of `lastDone` and the first day of the lay-up, within that lay-up. */
  storageEnds(days: number, lastDone: CivilDate | null): { from: CivilDate; on: CivilDate } | null {
    let day = this.today;
    while (this.isLaidUp(day) && daysBetween(day, this.today) < LOOK_DAYS) day = addDays(day, -1);
    let since: CivilDate | null = null;
    for (; daysBetween(this.today, day) <= 4000; day = addDays(day, 1)) {
      if (!this.isLaidUp(day)) since = null;
      else {
        since ??= day;
        const from: CivilDate = lastDone !== null && lastDone > since ? lastDone : since;
        if (daysBetween(from, day) === days) return { from, on: day };
      }
    }
    return null;
  }

  private seasonHas(season: Season, on: CivilDate): boolean {
    const year = Number(on.slice(0, 4));
    return [year - 1, year].some((y) => {
      const days = this.yearOf(season, y);
      return days !== null && days.firstDay <= on && on <= days.lastDay;
    });
  }

  private yearOf(season: Season, year: number): SeasonYear | null {
    const key = `${season.id} ${year}`;
    const known = this.years.get(key);
    if (known !== undefined) return known;
    const days = seasonInYear(season, year);
    this.years.set(key, days);
    return days;
  }

  private parts(on: CivilDate): readonly Participation[] {
    const known = this.partsOf.get(on);
    if (known) return known;
    const parts = this.facts.participation.filter(({ seasonId }) =>
      this.site.seasons.some((season) => season.id === seasonId && this.seasonHas(season, on)),
    );
    this.partsOf.set(on, parts);
    return parts;
  }
}
