import type { UsageModel } from '../usage/usageModel.js';
import type { MeterName } from '../schedule/trigger.js';
import type { MeterSegment } from './segment.js';
import type { Reading } from './reading.js';

/** How the hours of an attachment are known. */
export type AttachmentMeter =
  /** a share of the engine's hours since it was fitted: a loader works a fifth of the time */
  | {
      readonly kind: 'share';
      readonly share: number;
      /** hours of the attachment, and of the engine, on the day the share began to count */
      readonly hoursAtStart: number;
      readonly engineAtStart: number;
    }
  /** a meter of its own; before it was first read it stands at `hoursAtStart` */
  | {
      readonly kind: 'own';
      readonly hoursAtStart: number;
      readonly segments: readonly MeterSegment[];
      readonly readings: readonly Reading[];
    };

/** A working attachment of a machine. */
export interface Attachment {
  readonly meter: Exclude<MeterName, 'engine'>;
  readonly hours: AttachmentMeter;
}

type Share = Extract<AttachmentMeter, { kind: 'share' }>;

/** Hours of an attachment at `engineLife` hours of the engine. */
export function shareOf({ share, hoursAtStart, engineAtStart }: Share, engineLife: number): number {
  return Math.max(0, hoursAtStart + share * (engineLife - engineAtStart));
}

/** The forecast of a meter that runs a share of the engine's hours. */
export function sharedUsage(share: Share, engine: UsageModel): UsageModel {
  const perWeek = (hours: number | null) => (hours === null ? null : hours * share.share);
  return {
    hoursPerWeek: perWeek(engine.hoursPerWeek),
    plannedPerWeek: perWeek(engine.plannedPerWeek),
    dateReached: (hours) =>
      share.share > 0
        ? engine.dateReached(share.engineAtStart + (hours - share.hoursAtStart) / share.share)
        : { earlyOn: null, expectedOn: null, lateOn: null },
    lifeOn(day) {
      const range = engine.lifeOn(day);
      return (
        range && {
          low: shareOf(share, range.low),
          expected: shareOf(share, range.expected),
          high: shareOf(share, range.high),
        }
      );
    },
    mostLikelyLife(day) {
      const most = engine.mostLikelyLife(day);
      return most === null ? null : shareOf(share, most);
    },
  };
}
