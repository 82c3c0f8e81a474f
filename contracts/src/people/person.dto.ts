import { IsBoolean, IsIn, IsInt, IsOptional, Length } from 'class-validator';
import { Trimmed } from '../trimmed.js';
import { ROLES } from './role.js';
import type { Role } from './role.js';

const NAME = 'Give a name of 2 to 60 letters.';
const PASSWORD = 'Give a password of 10 to 200 characters; a short sentence is easy to remember.';
const ROLE = 'Choose crew lead, mechanic, operator or viewer.';

/** Somebody who signs in. */
export class PersonDto {
  id!: string;
  name!: string;
  role!: Role;
  /** false for somebody who has left: the name stays in the records */
  active!: boolean;
  version!: number;
}

export class CreatePersonDto {
  @Trimmed()
  @Length(2, 60, { message: NAME })
  name!: string;

  @IsIn(ROLES, { message: ROLE })
  role!: Role;

  @Length(10, 200, { message: PASSWORD })
  password!: string;
}

export class UpdatePersonDto {
  @IsIn(ROLES, { message: ROLE })
  role!: Role;

  @IsBoolean({ message: 'Say whether the person is still with the crew.' })
  active!: boolean;

  /** left out: the password stays */
  @IsOptional()
  @Length(10, 200, { message: PASSWORD })
  password?: string;

  @IsInt({ message: 'The version that the change is based on is missing.' })
  version!: number;
}
