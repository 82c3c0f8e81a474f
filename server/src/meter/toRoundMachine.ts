import type { RoundMachineDto } from '@yugator/contracts';
import { civilDate, civilDateAt, roundHours, segmentAt, staleDays } from '@yugator/core';
import type { CivilDate } from '@yugator/core';
import type { ScheduledMachine } from '../schedule/fleetSchedule.js';

/** Readings that a round carries to check the next against. */
const READINGS_SENT = 8;

/** The day on which a machine's meter was last read; that of its entry into service where it never was. */
export function lastReadOn({ machine, schedule }: ScheduledMachine, timeZone: string): CivilDate {
  return schedule.lastReading
    ? civilDateAt(schedule.lastReading.at, timeZone)
    : civilDate(machine.inServiceOn);
}

/** Days since the last reading of a machine that works, where that is too long ago; a machine that rests need not be read. */
export function staleDaysOf(
  scheduled: ScheduledMachine,
  today: CivilDate,
  timeZone: string,
  staleAfterDays: number,
): number | null {
  const isInUse = !scheduled.schedule.isLaidUp && scheduled.machine.status === 'inService';
  return isInUse ? staleDays(lastReadOn(scheduled, timeZone), today, staleAfterDays) : null;
}

/** A machine as the walk round the sheds needs it. */
export function toRoundMachine(
  scheduled: ScheduledMachine,
  today: CivilDate,
  timeZone: string,
  staleAfterDays: number,
): RoundMachineDto {
  const { machine, schedule, facts } = scheduled;
  const expected = schedule.usage.lifeOn(today)?.expected ?? null;
  const last = schedule.lastReading;
  const offset = last && facts.segments.length ? segmentAt(facts.segments, last.at).offset : 0;
  return {
    ...{ id: machine.id, tag: machine.tag, name: machine.name, shed: machine.shed },
    segments: facts.segments.map(({ startsAt, offset: hours }) => ({
      startsAt: new Date(startsAt).toISOString(),
      offset: hours,
    })),
    readings: schedule.readings
      .slice(-READINGS_SENT)
      .map(({ at, shown, life }) => ({ at: new Date(at).toISOString(), shown, life })),
    hoursPerWeek: schedule.usage.hoursPerWeek,
    expectedShown: expected === null ? null : roundHours(expected - offset),
    mostLikelyLife: schedule.usage.mostLikelyLife(today),
    staleDays: staleDaysOf(scheduled, today, timeZone, staleAfterDays),
  };
}
