import { Injectable } from '@nestjs/common';
import type {
  EnterRoundDto,
  ReadingDto,
  RoundDto,
  RoundReadingDto,
  RoundResultDto,
} from '@yugator/contracts';
import { civilDateAt, instant, instantOf, judgeReading, lifeOf } from '@yugator/core';
import type { MeterName, MeterStanding, Reading } from '@yugator/core';
import { v7 as uuid } from 'uuid';
import { AuditTrail } from '../audit/auditTrail.js';
import { UnitOfWork } from '../database/unitOfWork.js';
import { Machine } from '../models/machine.model.js';
import { Person } from '../models/person.model.js';
import { namesById } from '../people/namesById.js';
import { fault, fieldProblem, notFound, Problem } from '../problem/problem.js';
import type { FieldFaultDto } from '@yugator/contracts';
import { mapGently } from '../queue/breather.js';
import { FleetSchedule } from '../schedule/fleetSchedule.js';
import type { ScheduledMachine } from '../schedule/fleetSchedule.js';
import { SiteCalendar } from '../site/siteCalendar.js';
import { faultWords, unusualWords } from '@yugator/contracts';
import { Photos } from '../photo/photos.js';
import { ReadingPhoto, ReadingRow } from '../models/meter.model.js';
import type { ReadingSource } from '../models/meter.model.js';
import { meterOf, readMeters } from './readMeters.js';
import { toRoundMeter } from './toRoundMeter.js';

/** A phone's clock may be this far ahead of the server's. */
const CLOCK_TOLERANCE_MS = 5 * 60_000;

/** Sheds in the order of their names. */
const BY_NAME = new Intl.Collator('en');

const ENGINE: MeterName = 'engine';

/** The hour meters of the fleet. */
@Injectable()
export class Meters {
  constructor(
    private readonly work: UnitOfWork,
    private readonly calendar: SiteCalendar,
    private readonly fleet: FleetSchedule,
    private readonly photos: Photos,
    private readonly audit: AuditTrail,
  ) {}

  /** The fleet in walking order: by shed, then by place in the walk. */
  async round(): Promise<RoundDto> {
    const { site, today } = await this.calendar.read();
    const machines = (await this.fleet.read()).sort(
      (a, b) => BY_NAME.compare(a.machine.shed, b.machine.shed) || a.machine.walkOrder - b.machine.walkOrder,
    );
    return {
      meters: (
        await mapGently(machines, (scheduled) =>
          readMeters(scheduled).map((meter) =>
            toRoundMeter(scheduled, meter, today, site.timeZone, site.staleAfterDays),
          ),
        )
      ).flat(),
    };
  }

  /** Keeps all readings of a round, or none: every line at fault is named. */
  async enterRound(round: EnterRoundDto, caller: Person, ago: number | null): Promise<RoundResultDto> {
    const { site, now } = await this.calendar.read(ago ?? 0);
    const at = (round.readAt ?? null) === null ? now : instant(round.readAt ?? '');
    if (at > now + CLOCK_TOLERANCE_MS) {
      throw fieldProblem(
        fault('/readAt', 'future', 'The round lies in the future. Check the clock of your device.'),
      );
    }
    const photos = await this.cleanPhotos(round);
    return this.work.run(async () => {
      await this.lock(round.readings.map((reading) => reading.machineId));
      const ids = round.readings.map(({ machineId }) => machineId);
      const machines = new Map(
        (await this.fleet.readSome(ids)).map((scheduled) => [scheduled.machine.id, scheduled]),
      );
      const faults = round.readings.flatMap((reading, index) => {
        const { machineId, shown, confirmed } = reading;
        const path = `/readings/${index}`;
        return faultsOf(
          { at, shown },
          machines.get(machineId),
          meterIn(reading),
          path,
          confirmed ?? false,
          site.timeZone,
        );
      });
      faults.push(...repeated(round));
      if (faults.length) throw fieldProblem(...faults);
      await this.photos.count(photos.size, caller);
      for (const [index, reading] of round.readings.entries()) {
        const { machineId, shown } = reading;
        const row = await this.keep(machineId, meterIn(reading), { at, shown }, 'round', caller);
        const bytes = photos.get(index);
        if (bytes) await ReadingPhoto.create({ readingId: row.id, bytes });
      }
      await this.fleet.touched(ids);
      return { kept: round.readings.length };
    });
  }

  /**
   * Keeps one reading of the engine's meter inside the running unit of work and returns its row.
   * `pointer` says which field of the request is at fault where it cannot be true.
   */
  async enter(
    scheduled: ScheduledMachine,
    reading: Reading,
    source: ReadingSource,
    caller: Person,
    pointer: string,
  ): Promise<{ row: ReadingRow; life: number }> {
    const { site } = await this.calendar.read();
    const faults = faultsOf(reading, scheduled, ENGINE, pointer, true, site.timeZone);
    if (faults.length) throw fieldProblem(...faults);
    const row = await this.keep(scheduled.machine.id, ENGINE, reading, source, caller);
    await this.fleet.touched([scheduled.machine.id]);
    return { row, life: lifeOf(reading, scheduled.facts.segments) };
  }

  /** Takes a mistaken reading out of the reckoning; an operator only a slip of their own, on the day it was made. */
  async void(readingId: string, reason: string, caller: Person, address: string): Promise<void> {
    const { site, today } = await this.calendar.read();
    await this.work.run(async () => {
      const row = await ReadingRow.findByPk(readingId, { lock: true });
      if (!row) throw notFound('reading');
      const isOwn = row.enteredById === caller.id;
      const isOfToday = civilDateAt(instantOf(row.readAt.getTime()), site.timeZone) === today;
      if (caller.role === 'operator' && !(isOwn && isOfToday && row.source === 'round')) {
        const detail =
          'Operators take back their own readings of today only. Ask a mechanic or the crew lead.';
        throw new Problem(403, 'Not allowed', detail);
      }
      if (row.voidedAt) throw new Problem(409, 'Already voided', 'This reading was voided before.');
      await this.markVoid(row, reason, caller);
      const tag = (await Machine.findByPk(row.machineId))?.tag ?? '';
      const subject = `${tag}, ${row.shown} h: ${reason}`;
      await this.audit.note({ act: 'readingVoided', person: caller, subject, address });
    });
  }

  /** Marks a reading as void inside the running unit of work. */
  async markVoid(row: ReadingRow, reason: string, caller: Person): Promise<void> {
    const { now } = await this.calendar.read();
    await row.update({ voidedAt: new Date(now), voidedById: caller.id, voidReason: reason });
    await this.fleet.touched([row.machineId]);
    this.work.changed('readings');
  }

  /** All readings of a machine, void ones too, latest first. */
  async list(scheduled: ScheduledMachine): Promise<ReadingDto[]> {
    const rows = await ReadingRow.findAll({
      where: { machineId: scheduled.machine.id },
      order: [
        ['readAt', 'DESC'],
        ['id', 'DESC'],
      ],
    });
    const [names, photos] = await Promise.all([
      namesById(),
      ReadingPhoto.findAll({
        where: { readingId: rows.map(({ id }) => id) },
        attributes: ['readingId'],
        raw: true,
      }),
    ]);
    const withPhoto = new Set(photos.map(({ readingId }) => readingId));
    return rows.map((row) => ({
      id: row.id,
      meter: row.meter,
      at: row.readAt.toISOString(),
      shown: row.shown,
      life: lifeOfRow(row, scheduled),
      photo: withPhoto.has(row.id) ? `/api/readings/${row.id}/photo` : null,
      source: row.source,
      enteredBy: names.get(row.enteredById ?? '') ?? null,
      voided: row.voidedAt
        ? {
            at: row.voidedAt.toISOString(),
            by: names.get(row.voidedById ?? '') ?? '',
            reason: row.voidReason ?? '',
          }
        : null,
    }));
  }

  /** The photo taken with a reading. */
  async photo(readingId: string): Promise<Buffer> {
    const photo = await ReadingPhoto.findByPk(readingId);
    if (!photo) throw notFound('photo');
    return photo.bytes;
  }

  /** Makes writers of the same machines wait for each other, in one order, so that each judges against the last reading. */
  async lock(machineIds: readonly string[]): Promise<void> {
    await Machine.findAll({ where: { id: [...machineIds] }, order: ['id'], attributes: ['id'], lock: true });
  }

  /** The photos of a round by the place of their reading. */
  private async cleanPhotos({ readings }: EnterRoundDto): Promise<Map<number, Buffer>> {
    const sent = readings.flatMap(({ photo }, index) =>
      photo ? [{ index, base64: photo, pointer: `/readings/${index}/photo` }] : [],
    );
    const cleaned = await this.photos.clean(sent);
    return new Map(
      sent.flatMap(({ index }, place) => {
        const bytes = cleaned[place];
        return bytes ? [[index, bytes] as const] : [];
      }),
    );
  }

  private keep(
    machineId: string,
    meter: MeterName,
    { at, shown }: Reading,
    source: ReadingSource,
    caller: Person,
  ): Promise<ReadingRow> {
    this.work.changed('readings');
    return ReadingRow.create({
      id: uuid(),
      machineId,
      meter,
      readAt: new Date(at),
      shown,
      source,
      enteredById: caller.id,
    });
  }
}

/** The meter that a line of a round means: the engine's, where it names none. */
function meterIn({ meter }: RoundReadingDto): MeterName {
  return meter ?? ENGINE;
}

/** What speaks against a reading. */
function faultsOf(
  reading: Reading,
  scheduled: ScheduledMachine | undefined,
  meter: MeterName,
  pointer: string,
  isConfirmed: boolean,
  timeZone: string,
): FieldFaultDto[] {
  if (!scheduled) {
    const gone = 'This machine is no longer in the fleet. Take the line out.';
    return [fault(`${pointer}/machineId`, 'unknown', gone)];
  }
  const standing = meterOf(scheduled, meter);
  if (!standing) {
    const none = `${scheduled.machine.tag} has no ${meter} with a meter of its own. Take the line out.`;
    return [fault(`${pointer}/meter`, 'unknown', none)];
  }
  const onDay = civilDateAt(reading.at, timeZone);
  const { readings, segments, usage } = standing;
  const verdict = judgeReading(reading, readings, segments, usage.mostLikelyLife(onDay));
  switch (verdict.kind) {
    case 'refused':
      return [fault(`${pointer}/shown`, verdict.fault.code, faultWords(verdict.fault))];
    case 'unusual':
      return isConfirmed ? [] : [fault(`${pointer}/shown`, 'unusual', unusualWords(verdict.grown))];
    case 'accepted':
      return [];
  }
}

/** The life hours of a reading; what it shows, where its attachment no longer has a meter. */
function lifeOfRow({ meter, readAt, shown }: ReadingRow, scheduled: ScheduledMachine): number {
  const standing: MeterStanding | undefined = meterOf(scheduled, meter);
  return standing ? lifeOf({ at: instantOf(readAt.getTime()), shown }, standing.segments) : shown;
}

function repeated(round: EnterRoundDto): FieldFaultDto[] {
  const seen = new Set<string>();
  return round.readings.flatMap((reading, index) => {
    const key = `${reading.machineId} ${meterIn(reading)}`;
    if (!seen.has(key)) {
      seen.add(key);
      return [];
    }
    return [
      fault(
        `/readings/${index}/machineId`,
        'repeated',
        'This machine stands in the round twice. Keep one line.',
      ),
    ];
  });
}
