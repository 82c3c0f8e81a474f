import { toWorkshopTimes } from '@yugator/contracts';
import type { PersonDto, SeasonPlanDto, WorkshopDaysDto, WorkshopDto } from '@yugator/contracts';
import { civilDate, daysBetween, workshopDays } from '@yugator/core';
import type { AnnualRule, Component, Supposition } from '@yugator/core';

/** What may be supposed on the screen, by name. */
export const SUPPOSED = {
  more: 'machines run more',
  fewer: 'machines run less',
  dust: 'dust: air filters last half as long',
  away: 'a mechanic is away',
  another: 'a machine more',
  lateParts: 'ordered parts come later',
  annual: 'the yearly service at another time',
} as const;
export type Supposed = keyof typeof SUPPOSED;

/** What is typed beside it. */
export interface SupposedFields {
  /** per cent of hours */
  readonly percent: number;
  /** of the hands, that are away, in per cent, where nobody said who works in the workshop */
  readonly share: number;
  /** who is away; '' where nobody said who works in the workshop */
  readonly personId: string;
  /** civil dates */
  readonly from: string;
  readonly until: string;
  readonly machineId: string;
  readonly weeks: number;
  readonly annual: AnnualRule;
}

/** All that a supposition is made from. */
export interface SupposeFacts {
  readonly plan: SeasonPlanDto;
  readonly days: WorkshopDaysDto;
  readonly people: readonly PersonDto[];
  readonly workshop: WorkshopDto;
}

const IN_DUST: readonly Component[] = ['airFilter', 'airPreFilter'];

/** The days of the workshop with one more absence. */
export function daysWithout(
  days: WorkshopDaysDto,
  { personId, from, until }: SupposedFields,
): WorkshopDaysDto {
  return { ...days, absences: [...days.absences, { personId, from, until, note: '' }] };
}

function away(fields: SupposedFields, { plan, days, people }: SupposeFacts): Supposition {
  const today = civilDate(plan.today);
  if (fields.personId) {
    const active = new Set(people.filter((person) => person.active).map(({ id }) => id));
    const times = toWorkshopTimes(daysWithout(days, fields), (personId) => active.has(personId));
    return { kind: 'open', days: workshopDays(times, today, plan.instance.horizon) };
  }
  return {
    kind: 'away',
    share: Math.min(1, fields.share / 100),
    from: daysBetween(today, civilDate(fields.from)),
    until: daysBetween(today, civilDate(fields.until)),
  };
}

/** The supposition that was chosen; another time of the yearly service is read from the server. */
export function suppositionOf(
  kind: Exclude<Supposed, 'annual'>,
  fields: SupposedFields,
  facts: SupposeFacts,
): Supposition {
  const { percent, machineId, weeks } = fields;
  const { machines } = facts.plan;
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
      return away(fields, facts);
    case 'another':
      return { kind: 'another', machine: machines.findIndex(({ id }) => id === machineId) };
    case 'lateParts':
      return { kind: 'lateParts', days: weeks * 7 };
  }
}
