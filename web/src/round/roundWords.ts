import type { EnterRoundDto, RoundMeterDto } from '@yugator/contracts';
import type { MeterName } from '@yugator/core';
import type { Typed } from '../outbox/entry.js';
import { countWords, hoursWords } from '../words/figures.js';

type Known = Pick<RoundMeterDto, 'tag' | 'name'>;

/** Readings as whoever typed them knows them again; `meterOf` finds the meter that one is of. */
export function roundWords(
  { readings }: EnterRoundDto,
  meterOf: (machineId: string, meter: MeterName) => Known | undefined,
): Typed {
  const lines = readings.map(({ machineId, meter = 'engine', shown, photo }) => {
    const { tag = '', name = '' } = meterOf(machineId, meter) ?? {};
    return `${tag} ${name}: ${hoursWords(shown)} h${photo ? ', with a photo' : ''}`;
  });
  return { title: countWords(lines.length, 'reading'), lines };
}
