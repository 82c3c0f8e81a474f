import { Matches } from 'class-validator';
import { IsId, IsPassword, IsText } from '../rules/index.js';

/** Makes the device that asks one of the shed's. */
export class MakeShedDeviceDto {
  @IsText({
    least: 2,
    most: 60,
    message: 'Name the device with 2 to 60 letters, such as "Tablet at the door".',
  })
  name!: string;
}

/** A device of the shed, as the crew lead sees it. */
export class ShedDeviceDto {
  id!: string;
  name!: string;
  madeBy!: string;
  /** instant, ISO 8601 UTC */
  madeAt!: string;
  /** the device that asks */
  isThis!: boolean;
}

/** Somebody who may choose their name at a device of the shed. */
export class ShedPersonDto {
  id!: string;
  name!: string;
}

/** What a device of the shed shows while nobody is in; on any other device it names nobody. */
export class ShedDoorDto {
  /** what the device is called; null where it is none of the shed's */
  device!: string | null;
  /** those with a code, by name */
  people!: ShedPersonDto[];
}

const FOUR_DIGITS = /^\d{4}$/;

/** Goes in at a device of the shed. */
export class ShedSignInDto {
  @IsId({ message: 'Choose your name.' })
  personId!: string;

  @Matches(FOUR_DIGITS, { message: 'Type your four digits.' })
  code!: string;
}

/** Gives oneself a code for the devices of the shed. */
export class ChooseShedCodeDto {
  @IsPassword()
  present!: string;

  @Matches(FOUR_DIGITS, { message: 'Give four digits.' })
  code!: string;
}

/** Whether somebody has a code for the devices of the shed. */
export class ShedCodeDto {
  isSet!: boolean;
}

/** Minutes without use after which somebody is out again at a device of the shed, and hours after which they are in any case. */
export const SHED_IDLE_MINUTES = 10;
export const SHED_MOST_HOURS = 2;
