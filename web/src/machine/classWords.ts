import type { AttachmentKind, Cooling, Fuel, MachineClass, MachineStatus } from '@yugator/contracts';

export const CLASS_WORDS: Record<MachineClass, string> = {
  ridingMower: 'Riding mower',
  zeroTurn: 'Zero-turn',
  compactTractor: 'Compact tractor',
  utilityVehicle: 'Utility vehicle',
};

export const FUEL_WORDS: Record<Fuel, string> = { gasoline: 'Gasoline', diesel: 'Diesel' };

export const COOLING_WORDS: Record<Cooling, string> = { air: 'Air', liquid: 'Liquid' };

export const STATUS_WORDS: Record<MachineStatus, string> = {
  inService: 'In service',
  laidUp: 'Laid up',
  outOfService: 'Out of service',
  retired: 'Retired',
};

export const ATTACHMENT_WORDS: Record<AttachmentKind, string> = {
  loader: 'Loader',
  deck: 'Deck',
  blower: 'Blower',
  blade: 'Blade',
};
