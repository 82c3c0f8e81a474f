import type { StatusKind } from '@yugator/core';

/** The classes of machine a grounds crew keeps. */
export const MACHINE_CLASSES = ['ridingMower', 'zeroTurn', 'compactTractor', 'utilityVehicle'] as const;
export type MachineClass = (typeof MACHINE_CLASSES)[number];

export const FUELS = ['gasoline', 'diesel'] as const;
export type Fuel = (typeof FUELS)[number];

export const COOLINGS = ['air', 'liquid'] as const;
export type Cooling = (typeof COOLINGS)[number];

/**
 * - `inService`: works in its seasons and rests between them
 * - `laidUp`: rests until the crew lead says otherwise, whatever its seasons say
 * - `outOfService`: not to be used until it is mended
 * - `retired`: gone; only its history is kept
 */
export type MachineStatus = StatusKind;
export { MACHINE_STATUSES } from '@yugator/core';

export const ATTACHMENT_KINDS = ['loader', 'deck', 'blower', 'blade'] as const;
export type AttachmentKind = (typeof ATTACHMENT_KINDS)[number];
