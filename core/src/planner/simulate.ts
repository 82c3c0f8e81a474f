import { addDays } from '../calendar/civilDate.js';
import type { CivilDate } from '../calendar/civilDate.js';
import { instantOnDay } from '../calendar/instant.js';
import type { Attachment } from '../meter/attachment.js';
import { lifeHours } from '../meter/lifeHours.js';
import type { LifeHours } from '../meter/lifeHours.js';
import type { Reading } from '../meter/reading.js';
import { segmentAt } from '../meter/segment.js';
import type { MeterSegment } from '../meter/segment.js';
import type { ItemHistory } from '../schedule/baseline.js';
import type { DueAnswer } from '../schedule/due.js';
import { machineSchedule } from '../schedule/machineSchedule.js';
import type { MachineFacts, MachineSchedule } from '../schedule/machineSchedule.js';
import type { ScheduleContext } from '../schedule/scheduleContext.js';
import type { UsageModel } from '../usage/usageModel.js';

/** A visit as it is planned: a day counted from today, and what is done on it, by ids. */
export interface SimulatedVisit {
  readonly day: number;
  readonly itemIds: readonly string[];
}

/** A machine as it stands today. */
export interface SimulatedMachine {
  readonly facts: MachineFacts;
  readonly schedule: MachineSchedule;
}

/** Work that is past its limit when it is done. */
export interface LateWork {
  readonly itemId: string;
  readonly day: number;
  /** past its limit, on the meter that its limit counts on; 0 where it is not */
  readonly hours: number;
  readonly days: number;
}

/** The hour of the day at which a visit begins. */
const MORNING = 8;

/** What a meter is expected to show in the morning of a day. */
function readingOn(
  on: CivilDate,
  life: number,
  segments: readonly MeterSegment[],
  timeZone: string,
): Reading {
  const at = instantOnDay(on, MORNING, timeZone);
  return { at, shown: life - segmentAt(segments, at).offset };
}

function expectedLife(usage: UsageModel, life: number, on: CivilDate): LifeHours {
  return lifeHours(Math.max(life, usage.lifeOn(on)?.expected ?? life));
}

/** The machine's facts on a later day: its meters read as is expected today, and done what was done until then. */
class Future {
  private facts: MachineFacts;

  constructor(
    private readonly machine: SimulatedMachine,
    private readonly timeZone: string,
  ) {
    this.facts = machine.facts;
  }

  /** The schedule in the morning of a day, by its own rules. */
  scheduleOn(on: CivilDate, contextOn: (on: CivilDate) => ScheduleContext): MachineSchedule {
    const { segments, readings, attachments } = this.facts;
    const reading = readingOn(on, this.lifeOn(on), segments, this.timeZone);
    this.facts = {
      ...this.facts,
      readings: [...readings, reading],
      attachments: attachments.map((each) => this.readAttachment(each, on)),
    };
    return machineSchedule(this.facts, contextOn(on));
  }

  /** Notes what was done on a day. */
  finish(on: CivilDate, itemIds: readonly string[]): void {
    const point = { on, life: this.lifeOn(on) };
    const history = new Map<string, ItemHistory>(this.facts.history);
    for (const id of itemIds) {
      const before = history.get(id) ?? { completions: [], declared: [] };
      history.set(id, { ...before, completions: [...before.completions, point] });
    }
    this.facts = { ...this.facts, history };
  }

  private lifeOn(on: CivilDate): LifeHours {
    const { usage, life } = this.machine.schedule;
    return expectedLife(usage, life, on);
  }

  private readAttachment(attachment: Attachment, on: CivilDate): Attachment {
    const { meter, hours } = attachment;
    const standing = this.machine.schedule.meters.get(meter);
    if (hours.kind !== 'own' || !standing || hours.readings.length === 0) return attachment;
    const life = expectedLife(standing.usage, standing.life, on);
    const reading = readingOn(on, life, hours.segments, this.timeZone);
    return { meter, hours: { ...hours, readings: [...hours.readings, reading] } };
  }
}

function lateOf({ item, limits }: DueAnswer, day: number): LateWork {
  const past = (kind: 'hours' | 'calendar') =>
    Math.max(0, ...limits.filter((limit) => limit.kind === kind).map(({ left }) => -left));
  return { itemId: item.id, day, hours: past('hours'), days: past('calendar') };
}

/**
 * Walks the visits of a machine day by day by the rules of the schedule itself, not by the planner's: what is past its limit when it is
 * done, if the machine runs as is expected. `contextOn`: the site on a day.
 */
export function lateWork(
  machine: SimulatedMachine,
  visits: readonly SimulatedVisit[],
  today: ScheduleContext,
  contextOn: (on: CivilDate) => ScheduleContext,
): LateWork[] {
  const future = new Future(machine, today.site.timeZone);
  return [...visits]
    .sort((a, b) => a.day - b.day)
    .flatMap(({ day, itemIds }) => {
      const on = addDays(today.today, day);
      const done = new Set(itemIds);
      const { answers } = future.scheduleOn(on, contextOn);
      future.finish(on, itemIds);
      return answers
        .filter(({ item }) => done.has(item.id))
        .map((answer) => lateOf(answer, day))
        .filter(({ hours, days }) => hours > 0 || days > 0);
    });
}
