import type { Fuel, MachineClass } from '@yugator/contracts';

export const CLASS_WORDS: Record<MachineClass, string> = {
  ridingMower: 'Riding mower',
  zeroTurn: 'Zero-turn',
  compactTractor: 'Compact tractor',
  utilityVehicle: 'Utility vehicle',
};

export const FUEL_WORDS: Record<Fuel, string> = { gasoline: 'Gasoline', diesel: 'Diesel' };
