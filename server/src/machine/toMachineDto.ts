import { machineFacts } from '@yugator/contracts';
import type {
  BookItemDto,
  ExpectedHoursDto,
  MachineDetailDto,
  MachineDto,
  OverrideDto,
  StatusChangeDto,
} from '@yugator/contracts';
import { addDays, dateOfDayNumber } from '@yugator/core';
import type { CivilDate } from '@yugator/core';
import { storedTriggers } from '../facts/scheduleItem.js';
import type { ItemOverrideRow } from '../models/itemOverride.model.js';
import type { ScheduledMachine } from '../schedule/fleetSchedule.js';
import { toDueLines } from '../schedule/toDueLine.js';
import { storedCardOrEmpty } from './storedCard.js';

/** How far the tape of a machine looks ahead, and back. */
const WEEKS_AHEAD = 78;
const DAYS_BACK = 400;

export function toMachineDto(scheduled: ScheduledMachine): MachineDto {
  const { machine, schedule, bookIds, facts } = scheduled;
  const { working, usage, lastReading } = schedule;
  return {
    ...machineFacts(machine),
    id: machine.id,
    bookIds: [...bookIds],
    participation: facts.participation.map((part) => ({ ...part })),
    status: machine.status,
    statusSince: machine.statusSince,
    working: {
      kind: working.kind,
      since: working.kind === 'laidUp' ? working.since : null,
      until: working.kind === 'unplanned' ? null : working.until,
    },
    version: machine.version,
    life: schedule.life,
    lastShown: lastReading?.shown ?? null,
    lastReadAt: lastReading ? new Date(lastReading.at).toISOString() : null,
    hoursPerWeek: usage.hoursPerWeek,
    plannedPerWeek: usage.plannedPerWeek,
    lines: toDueLines(scheduled),
  };
}

function aheadOf({ schedule }: ScheduledMachine, today: CivilDate): ExpectedHoursDto[] {
  return Array.from({ length: WEEKS_AHEAD + 1 }, (_, week) => addDays(today, 7 * week)).flatMap((on) => {
    const range = schedule.usage.lifeOn(on);
    return range ? [{ on, ...range }] : [];
  });
}

function toOverrideDto(row: ItemOverrideRow, names: ReadonlyMap<string, string>): OverrideDto {
  const { itemId, isOmitted, dutyFactor, windowHours, windowDays, reason } = row;
  return {
    itemId,
    itemName: names.get(itemId) ?? '',
    isOmitted,
    dutyFactor,
    windowHours,
    windowDays,
    reason,
    triggers: row.triggers === null ? null : storedTriggers(row.triggers),
  };
}

/** A machine with all that its page shows. */
export function toMachineDetail(
  scheduled: ScheduledMachine,
  today: CivilDate,
  photos: Pick<MachineDetailDto, 'photo' | 'accessPhotos'>,
  names: ReadonlyMap<string, string>,
  ownItems: BookItemDto[],
  statusChanges: StatusChangeDto[],
  openJobId: string | null,
): MachineDetailDto {
  const { machine, attachments, overrides, schedule, facts } = scheduled;
  return {
    ...toMachineDto(scheduled),
    ...photos,
    attachments: attachments.map(({ kind, name, share, hoursAtStart, engineAtStart }) => ({
      kind,
      name,
      share,
      hoursAtStart,
      engineAtStart,
      life: schedule.meters.get(kind)?.life ?? 0,
    })),
    overrides: overrides.map((row) => toOverrideDto(row, names)),
    spec: storedCardOrEmpty(machine.spec),
    ownItems,
    openJobId,
    rules: facts.items.map(({ id, triggers }) => ({ itemId: id, triggers: [...triggers] })),
    statusChanges,
    ahead: aheadOf(scheduled, today),
    behind: schedule.points
      .map(({ day, life }) => ({ on: dateOfDayNumber(day), life }))
      .filter(({ on }) => on >= addDays(today, -DAYS_BACK)),
  };
}
