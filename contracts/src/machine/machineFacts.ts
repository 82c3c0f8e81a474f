import type { MachineFactsDto } from './machine.dto.js';

/** What a machine is, taken from something that knows more of it; what was left out is null, a serial number empty. */
export function machineFacts(machine: MachineFactsDto): Required<MachineFactsDto> {
  return {
    tag: machine.tag,
    name: machine.name,
    machineClass: machine.machineClass,
    make: machine.make,
    model: machine.model,
    serial: machine.serial ?? '',
    modelYear: machine.modelYear ?? null,
    fuel: machine.fuel,
    cooling: machine.cooling ?? null,
    cylinders: machine.cylinders ?? null,
    enginePower: machine.enginePower ?? null,
    warrantyUntil: machine.warrantyUntil ?? null,
    warrantyHours: machine.warrantyHours ?? null,
    shed: machine.shed,
    walkOrder: machine.walkOrder,
    inServiceOn: machine.inServiceOn,
    inServiceHours: machine.inServiceHours,
    cameNew: machine.cameNew,
  };
}
