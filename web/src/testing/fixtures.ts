import type { DueLineDto, LimitDto, SiteDto } from '@yugator/contracts';

/** Due lines and their like for the tests of screens. */

export const SITE: SiteDto = {
  name: 'Yard',
  timeZone: 'Europe/London',
  currency: 'GBP',
  demonstration: false,
  unitSystem: 'metric',
  dateOrder: 'dayFirst',
};

export function hoursLimit(over: Partial<LimitDto> = {}): LimitDto {
  const left = over.left ?? -6.2;
  return {
    kind: 'hours',
    meter: 'engine',
    at: 262.4,
    on: null,
    left,
    used: 1 - left / 50,
    rule: { kind: 'everyHours', hours: 50, meter: 'engine', grid: null },
    overdue: left < 0,
    ripe: left < 5,
    earlyOn: null,
    expectedOn: '2027-05-10',
    lateOn: null,
    ...over,
  };
}

export function calendarLimit(over: Partial<LimitDto> = {}): LimitDto {
  const left = over.left ?? 7;
  return {
    kind: 'calendar',
    meter: null,
    at: null,
    on: '2027-05-20',
    left,
    used: 0.98,
    rule: { kind: 'everyCalendar', count: 12, unit: 'month', inUse: null },
    overdue: left < 0,
    ripe: true,
    earlyOn: null,
    expectedOn: '2027-05-20',
    lateOn: null,
    ...over,
  };
}

export function dueLine(over: Partial<DueLineDto> = {}): DueLineDto {
  return {
    itemId: 'oil',
    itemName: 'Engine oil and filter',
    action: 'replace',
    components: ['engineOil', 'engineOilFilter'],
    bookName: 'Verrick',
    state: 'overdue',
    consequence: 'ruin',
    place: 'visit',
    unresolved: [],
    done: [],
    minutes: 30,
    earlyOn: null,
    expectedOn: null,
    lateOn: null,
    baseline: { kind: 'completion', on: '2027-05-12', life: 212.4 },
    limits: [hoursLimit()],
    ...over,
  };
}
