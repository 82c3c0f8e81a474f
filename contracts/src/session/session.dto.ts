import type { DateOrder, UnitSystem } from '@yugator/core';
import { UNIT_SYSTEMS } from '@yugator/core';
import { IsBoolean, IsIn, IsOptional, IsTimeZone } from 'class-validator';
import { PersonDto } from '../people/person.dto.js';
import { IsNewPassword, IsPassword, IsText } from '../rules/index.js';

export class SignInDto {
  @IsText({ least: 1, most: 60, message: 'Type your name.' })
  name!: string;

  @IsPassword()
  password!: string;

  /** nobody else picks the device up: the session holds longer there */
  @IsOptional()
  @IsBoolean({ message: 'Say whether this device is yours.' })
  isOwnDevice?: boolean;
}

/** Days without use after which a session ends on a device that is the person's own. */
export const OWN_DEVICE_DAYS = 180;

/** Where somebody is signed in. */
export class OpenSessionDto {
  id!: string;
  /** such as "Firefox on Android" */
  device!: string;
  address!: string;
  isOwnDevice!: boolean;
  /** instant, ISO 8601 UTC */
  createdAt!: string;
  /** instant, ISO 8601 UTC, to within ten minutes */
  lastSeenAt!: string;
  /** the one that asks */
  isThis!: boolean;
}

/** A session of anybody of the crew, as the crew lead sees it. */
export class CrewSessionDto extends OpenSessionDto {
  /** whose it is */
  person!: string;
}

/** Gives oneself another password. */
export class ChangePasswordDto {
  @IsPassword()
  present!: string;

  @IsNewPassword()
  password!: string;
}

/** The site that this Yugator keeps. */
export class SiteDto {
  name!: string;
  /** IANA name */
  timeZone!: string;
  /** ISO 4217 code */
  currency!: string;
  /** the demonstration crew, whose passwords everybody knows */
  demonstration!: boolean;
  /** as the person signed in likes figures, else as the site has them */
  unitSystem!: UnitSystem;
  /** how days are typed */
  dateOrder!: DateOrder;
}

/** How a person likes figures. */
export class ChooseUnitsDto {
  /** null for as the site has them */
  @IsOptional()
  @IsIn(UNIT_SYSTEMS, { message: 'Choose metric or US units, or those of the site.' })
  unitSystem!: UnitSystem | null;
}

/** Who is signed in, and where. */
export class SessionDto {
  person!: PersonDto;
  site!: SiteDto;
  /** the person's own choice of units; null for as the site has them */
  ownUnits!: UnitSystem | null;
  /** today's civil date at the site */
  today!: string;
  /** the device of the shed at which it is, where there is only reading, rounds and walk-rounds; null on all others */
  atShed!: string | null;
}

/** What a first visitor finds. */
export class WelcomeDto {
  /** true until the first crew lead exists */
  needsCrewLead!: boolean;
  /** true where the demonstration crew is loaded */
  demonstration!: boolean;
}

/** The first crew lead and the site, on an empty Yugator. */
export class FirstCrewLeadDto {
  /** stands where Yugator was started */
  @IsText({ least: 1, most: 20, message: 'Type the set-up code. It stands where ./start was called.' })
  setUpCode!: string;

  @IsText({ least: 2, most: 80, message: 'Name the site with 2 to 80 letters.' })
  siteName!: string;

  @IsTimeZone({ message: 'Give a time zone by its IANA name, such as Europe/London.' })
  timeZone!: string;

  @IsText({ least: 2, most: 60, message: 'Give your name with 2 to 60 letters.' })
  name!: string;

  @IsNewPassword()
  password!: string;
}
