import type { FileMachineDto } from '@yugator/contracts';
import type { MeterName } from '@yugator/core';
import { v7 as uuid } from 'uuid';
import { MeterSegmentRow, ReadingRow } from '../models/meter.model.js';
import type { Importer } from './fleetTask.js';

/** A meter of a file with what it showed. */
export interface FileMeter extends Pick<FileMachineDto, 'segments' | 'readings'> {
  readonly meter: MeterName;
}

/** Writes a meter with its readings; one without segments shows its life hours from the day of entry on. */
export async function writeMeter(
  machineId: string,
  { meter, segments, readings }: FileMeter,
  inServiceOn: string,
  caller: Importer,
): Promise<void> {
  const own = segments.length ? segments : [{ startsAt: `${inServiceOn}T00:00:00Z`, offset: 0 }];
  await MeterSegmentRow.bulkCreate(
    own.map(({ startsAt, offset }, index) => ({
      id: uuid(),
      machineId,
      meter,
      startsAt: new Date(startsAt),
      hoursOffset: offset,
      kind: index === 0 ? 'first' : 'replaced',
      reason: '',
    })),
  );
  await ReadingRow.bulkCreate(
    readings.map(({ at, shown }) => ({
      id: uuid(),
      machineId,
      meter,
      readAt: new Date(at),
      shown,
      source: 'entry',
      enteredById: caller.id,
    })),
  );
}
