import type { SeasonPlanDto } from '@yugator/contracts';
import { civilDate, daysBetween } from '@yugator/core';
import type { Component, Supposition } from '@yugator/core';

/** What may be supposed on the screen, by name. */
export const SUPPOSED = {
  more: 'machines run more',
  fewer: 'machines run less',
  dust: 'dust: air filters last half as long',
  away: 'a mechanic is away',
  another: 'a machine more',
  lateParts: 'ordered parts come later',
} as const;
export type Supposed = keyof typeof SUPPOSED;

/** What is typed beside it. */
export interface SupposedFields {
  /** per cent of hours */
  readonly percent: number;
  /** of the hands, that are away, in per cent */
  readonly share: number;
  /** civil dates */
  readonly from: string;
  readonly until: string;
  readonly machineId: string;
  readonly weeks: number;
}

const IN_DUST: readonly Component[] = ['airFilter', 'airPreFilter'];

/** The supposition that was chosen. */
export function suppositionOf(
  kind: Supposed,
  { percent, share, from, until, machineId, weeks }: SupposedFields,
  { today, machines }: SeasonPlanDto,
): Supposition {
  switch (kind) {
    case 'more':
      return { kind: 'hours', factor: 1 + percent / 100 };
    case 'fewer':
      return { kind: 'hours', factor: Math.max(0, 1 - percent / 100) };
    case 'dust': {
      const dusty = machines.flatMap(({ items }) =>
        items.filter(({ components }) => components.some((each) => IN_DUST.includes(each))),
      );
      return { kind: 'dust', itemIds: new Set(dusty.map(({ id }) => id)) };
    }
    case 'away':
      return {
        kind: 'away',
        share: Math.min(1, share / 100),
        from: daysBetween(civilDate(today), civilDate(from)),
        until: daysBetween(civilDate(today), civilDate(until)),
      };
    case 'another':
      return { kind: 'another', machine: machines.findIndex(({ id }) => id === machineId) };
    case 'lateParts':
      return { kind: 'lateParts', days: weeks * 7 };
  }
}
