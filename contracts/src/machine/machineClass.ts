/** The classes of machine a grounds crew keeps. */
export const MACHINE_CLASSES = ['ridingMower', 'zeroTurn', 'compactTractor', 'utilityVehicle'] as const;
export type MachineClass = (typeof MACHINE_CLASSES)[number];

export const FUELS = ['gasoline', 'diesel'] as const;
export type Fuel = (typeof FUELS)[number];
