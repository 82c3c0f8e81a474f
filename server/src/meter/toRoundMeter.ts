import type { RoundMeterDto } from '@yugator/contracts';
import { civilDate, civilDateAt, roundHours, segmentAt, staleDays } from '@yugator/core';
import type { CivilDate, MeterName } from '@yugator/core';
import type { ScheduledMachine } from '../schedule/fleetSchedule.js';
import { meterOf, meterWords } from './readMeters.js';

/** Readings that a round carries to check the next against. */
const READINGS_SENT = 8;

/** The day on which a meter was last read; that of the machine's entry into service where it never was. */
function lastReadOn(scheduled: ScheduledMachine, meter: MeterName, timeZone: string): CivilDate {
  const last = meterOf(scheduled, meter)?.readings.at(-1);
  return last ? civilDateAt(last.at, timeZone) : civilDate(scheduled.machine.inServiceOn);
}

/** Days since the last reading of a meter of a machine that works, where that is too long ago; a machine that rests need not be read. */
export function staleDaysOf(
  scheduled: ScheduledMachine,
  meter: MeterName,
  today: CivilDate,
  timeZone: string,
  staleAfterDays: number,
): number | null {
  const isInUse = !scheduled.schedule.isLaidUp && scheduled.machine.status === 'inService';
  return isInUse ? staleDays(lastReadOn(scheduled, meter, timeZone), today, staleAfterDays) : null;
}

/** What a meter should show by a day, by the use of its machine; null while nothing is known of it. */
export function expectedShown(
  {
    segments,
    readings,
    usage,
  }: Pick<ScheduledMachine['schedule']['meters']['engine'], 'segments' | 'readings' | 'usage'>,
  on: CivilDate,
): number | null {
  const life = usage.lifeOn(on)?.expected ?? null;
  const last = readings.at(-1);
  const offset = last ? segmentAt(segments, last.at).offset : 0;
  return life === null ? null : roundHours(life - offset);
}

/** A meter as the walk round the sheds needs it. */
export function toRoundMeter(
  scheduled: ScheduledMachine,
  meter: MeterName,
  today: CivilDate,
  timeZone: string,
  staleAfterDays: number,
): RoundMeterDto {
  const { machine, schedule } = scheduled;
  const { segments, readings, usage } = meterOf(scheduled, meter) ?? schedule.meters.engine;
  return {
    key: meter === 'engine' ? machine.id : `${machine.id}-${meter}`,
    machineId: machine.id,
    meter,
    tag: machine.tag,
    name: meterWords(scheduled, meter),
    shed: machine.shed,
    segments: segments.map(({ startsAt, offset: hours }) => ({
      startsAt: new Date(startsAt).toISOString(),
      offset: hours,
    })),
    readings: readings
      .slice(-READINGS_SENT)
      .map(({ at, shown, life }) => ({ at: new Date(at).toISOString(), shown, life })),
    hoursPerWeek: usage.hoursPerWeek,
    expectedShown: expectedShown({ segments, readings, usage }, today),
    mostLikelyLife: usage.mostLikelyLife(today),
    staleDays: staleDaysOf(scheduled, meter, today, timeZone, staleAfterDays),
  };
}
