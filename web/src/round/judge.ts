import type { RoundMeterDto } from '@yugator/contracts';
import { instant, judgeReading, lifeHours } from '@yugator/core';
import type { Instant, ReadingVerdict } from '@yugator/core';
import { parseFigure } from '../words/figures.js';

/** What the figure typed for a meter comes to. */
export type TypedVerdict = ReadingVerdict | { readonly kind: 'empty' } | { readonly kind: 'notAFigure' };

const MOST = 99_999.9;

/** Judges what was typed for `meter`, read at `now`, by the rule that the server applies. */
export function judgeTyped(
  typed: string,
  meter: Pick<RoundMeterDto, 'segments' | 'readings' | 'mostLikelyLife'>,
  now: Instant,
): TypedVerdict {
  if (typed.trim() === '') return { kind: 'empty' };
  const shown = parseFigure(typed);
  if (!Number.isFinite(shown) || shown < 0 || shown > MOST) return { kind: 'notAFigure' };
  return judgeReading(
    { at: now, shown },
    meter.readings.map(({ at, shown: was, life }) => ({
      at: instant(at),
      shown: was,
      life: lifeHours(life),
    })),
    meter.segments.map(({ startsAt, offset }) => ({ startsAt: instant(startsAt), offset })),
    meter.mostLikelyLife,
  );
}
