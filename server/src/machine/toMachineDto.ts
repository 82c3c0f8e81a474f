import type { MachineDto } from '@yugator/contracts';
import type { ScheduledMachine } from '../schedule/fleetSchedule.js';
import { toDueLines } from '../schedule/toDueLine.js';

export function toMachineDto(scheduled: ScheduledMachine): MachineDto {
  const { machine, schedule, bookIds } = scheduled;
  return {
    id: machine.id,
    tag: machine.tag,
    name: machine.name,
    machineClass: machine.machineClass,
    make: machine.make,
    model: machine.model,
    fuel: machine.fuel,
    shed: machine.shed,
    walkOrder: machine.walkOrder,
    inServiceOn: machine.inServiceOn,
    inServiceHours: machine.inServiceHours,
    cameNew: machine.cameNew,
    bookIds: [...bookIds],
    version: machine.version,
    life: schedule.life,
    lastShown: schedule.lastReading?.shown ?? null,
    lastReadAt: schedule.lastReading ? new Date(schedule.lastReading.at).toISOString() : null,
    hoursPerWeek: schedule.usage.hoursPerWeek,
    lines: toDueLines(scheduled),
  };
}
