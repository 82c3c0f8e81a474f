import { emptySpecCard } from '@yugator/contracts';
import type { MachineDetailDto } from '@yugator/contracts';
import { dueLine } from './fixtures.js';

/** A machine for the tests of screens. */
export function machineDetail(over: Partial<MachineDetailDto> = {}): MachineDetailDto {
  return {
    id: 'm',
    tag: 'M-07',
    name: 'Lakeside',
    machineClass: 'zeroTurn',
    make: 'Verrick',
    model: 'Z52',
    serial: '',
    modelYear: null,
    fuel: 'gasoline',
    cooling: null,
    cylinders: null,
    enginePower: null,
    warrantyUntil: null,
    warrantyHours: null,
    shed: 'North shed',
    walkOrder: 1,
    inServiceOn: '2025-04-01',
    inServiceHours: 0,
    cameNew: true,
    bookIds: ['b'],
    participation: [],
    status: 'inService',
    statusSince: null,
    working: { kind: 'unplanned', since: null, until: null },
    version: 4,
    life: 268.6,
    lastShown: 268.6,
    lastReadAt: null,
    hoursPerWeek: 9,
    plannedPerWeek: null,
    photo: null,
    attachments: [],
    overrides: [],
    ownItems: [],
    spec: emptySpecCard(),
    statusChanges: [],
    ahead: [],
    behind: [],
    lines: [dueLine()],
    ...over,
  };
}
