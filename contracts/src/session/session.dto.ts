import type { UnitSystem } from '@yugator/core';
import { UNIT_SYSTEMS } from '@yugator/core';
import { IsIn, IsOptional, IsTimeZone, Length } from 'class-validator';
import { PersonDto } from '../people/person.dto.js';
import { Trimmed } from '../trimmed.js';

export class SignInDto {
  @Trimmed()
  @Length(1, 60, { message: 'Type your name.' })
  name!: string;

  @Length(1, 200, { message: 'Type your password.' })
  password!: string;
}

/** The site that this Yugator keeps. */
export class SiteDto {
  name!: string;
  /** IANA name */
  timeZone!: string;
  /** ISO 4217 code */
  currency!: string;
  /** as the person signed in likes figures, else as the site has them */
  unitSystem!: UnitSystem;
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
  @Trimmed()
  @Length(2, 80, { message: 'Name the site with 2 to 80 letters.' })
  siteName!: string;

  @IsTimeZone({ message: 'Give a time zone by its IANA name, such as Europe/London.' })
  timeZone!: string;

  @Trimmed()
  @Length(2, 60, { message: 'Give your name with 2 to 60 letters.' })
  name!: string;

  @Length(10, 200, {
    message: 'Give a password of 10 to 200 characters; a short sentence is easy to remember.',
  })
  password!: string;
}
