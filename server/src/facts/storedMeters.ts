import { instantOf } from '@yugator/core';
import type { MachineFacts, MeterName, MeterSegment, Reading } from '@yugator/core';
import { grouped } from '../database/grouped.js';
import { MeterSegmentRow, ReadingRow } from '../models/meter.model.js';

type OfMeter = Pick<MeterSegmentRow, 'machineId' | 'meter'>;
const keyOf = ({ machineId, meter }: OfMeter) => `${machineId} ${meter}`;

/** The meters of machines with the readings that count. */
export class StoredMeters {
  private constructor(
    private readonly segments: ReadonlyMap<string, MeterSegment[]>,
    private readonly readings: ReadonlyMap<string, Reading[]>,
  ) {}

  static async read(where: { machineId?: string[] }): Promise<StoredMeters> {
    const [segments, readings] = await Promise.all([
      MeterSegmentRow.findAll({ where, order: ['startsAt'], raw: true }),
      ReadingRow.findAll({
        where: { ...where, voidedAt: null },
        attributes: ['machineId', 'meter', 'readAt', 'shown'],
        raw: true,
      }),
    ]);
    return new StoredMeters(
      mapped(segments, (row) => ({ startsAt: instantOf(row.startsAt.getTime()), offset: row.hoursOffset })),
      mapped(readings, (row) => ({ at: instantOf(row.readAt.getTime()), shown: row.shown })),
    );
  }

  of(machineId: string, meter: MeterName): Pick<MachineFacts, 'segments' | 'readings'> {
    const key = keyOf({ machineId, meter });
    return { segments: this.segments.get(key) ?? [], readings: this.readings.get(key) ?? [] };
  }
}

function mapped<Row extends OfMeter, T>(rows: readonly Row[], toValue: (row: Row) => T): Map<string, T[]> {
  return new Map([...grouped(rows, keyOf)].map(([key, own]) => [key, own.map(toValue)]));
}
