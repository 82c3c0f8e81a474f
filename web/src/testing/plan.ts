import type { PersonDto, PlannedItemDto, SeasonPlanDto, WorkshopDaysDto } from '@yugator/contracts';
import type { PlannerItem, PlannerMachine } from '@yugator/core';

const ITEM: PlannerItem = {
  id: 'oil',
  hours: 50,
  days: null,
  usedHours: 45,
  usedDays: 0,
  hoursToMark: null,
  minutes: 20,
  access: [0],
  worth: 10,
  latePerHour: 20,
  latePerDay: 6,
  leastShare: 0.6,
  notBefore: 0,
  once: null,
  wakesUp: false,
  laysUp: false,
};

const MACHINE: PlannerMachine = {
  id: 'm1',
  setUp: 9,
  access: [4],
  items: [ITEM, { ...ITEM, id: 'air', minutes: 10, hours: 25, usedHours: 20 }],
  hoursBy: Array.from({ length: 85 }, (_, day) => day),
  spreadOfWeek: 1,
  spreadOfAll: 0.05,
  awayCost: Array.from({ length: 84 }, () => 0),
  blocked: [],
  season: null,
  layUp: null,
  locked: [],
  published: [],
};

/** A plan of two machines for the tests of screens: Tuesdays and Fridays, from 10 May 2027 on, two cards published. */
export function planFixture(over: Partial<SeasonPlanDto> = {}): SeasonPlanDto {
  const days = [1, 4, 8, 11, 15, 18].map((day) => ({ day, minutes: 120, bays: 2 }));
  const told = {
    severity: null,
    state: 'ripe',
    expectedOn: '2027-05-14',
    components: [],
    waitsFor: [],
  } satisfies Partial<PlannedItemDto>;
  return {
    today: '2027-05-10',
    weeks: 12,
    instance: {
      horizon: 84,
      days,
      machines: [
        MACHINE,
        {
          ...MACHINE,
          id: 'm2',
          locked: [{ day: 4, items: [0] }],
          items: [{ ...ITEM, id: 'belt', minutes: 15, access: [] }],
        },
      ],
      readyCost: 8,
      layUpCost: 2,
      published: { until: 28, addCost: 6 },
    },
    machines: [
      {
        id: 'm1',
        tag: 'M-07',
        name: 'Lakeside zero-turn',
        items: [
          { id: 'oil', name: 'Engine oil and filter', ...told },
          { id: 'air', name: 'Air filter: clean', ...told },
        ],
      },
      {
        id: 'm2',
        tag: 'T-02',
        name: 'Loader tractor',
        items: [{ id: 'belt', name: 'Belts: look', ...told }],
      },
    ],
    cards: [
      {
        machineId: 'm1',
        on: '2027-05-11',
        itemIds: ['oil', 'air'],
        isLocked: false,
        minutes: 43,
        state: 'planned',
      },
      { machineId: 'm2', on: '2027-05-14', itemIds: ['belt'], isLocked: true, minutes: 24, state: 'planned' },
    ],
    labourRateMinor: 3000,
    publishedAt: '2027-05-09T10:00:00Z',
    publishedBy: 'Marit',
    version: 3,
    ...over,
  };
}

/** Somebody who works in the workshop. */
export function mechanicFixture(nth: number, name: string): PersonDto {
  return {
    id: `00000000-0000-7000-8000-00000000010${nth}`,
    name,
    role: 'mechanic',
    active: true,
    version: 1,
  };
}

/** A workshop that is never open. */
export function workshopDaysFixture(over: Partial<WorkshopDaysDto> = {}): WorkshopDaysDto {
  return {
    week: Array.from({ length: 7 }, () => ({ minutes: 0, bays: 0 })),
    exceptions: [],
    hands: [],
    absences: [],
    needed: [],
    readyDays: 3,
    layUpDays: 21,
    version: 4,
    ...over,
  };
}
