import { METERS } from '@yugator/core';
import type { MeterName, MeterStanding } from '@yugator/core';
import type { ScheduledMachine } from '../schedule/fleetSchedule.js';

/** A meter that can be read; undefined for a share of another, and where the machine has none of that name. */
export function meterOf({ schedule }: ScheduledMachine, meter: MeterName): MeterStanding | undefined {
  const standing = schedule.meters.get(meter);
  return standing?.segments.length ? standing : undefined;
}

/** The meters of a machine that can be read, the engine's first. */
export function readMeters(scheduled: ScheduledMachine): MeterName[] {
  return METERS.filter((meter) => meterOf(scheduled, meter));
}

/** What a meter counts the hours of. */
export function meterWords({ machine, attachments }: ScheduledMachine, meter: MeterName): string {
  const attachment = attachments.find(({ kind }) => kind === meter);
  return attachment ? `${attachment.name} of ${machine.name}` : machine.name;
}
