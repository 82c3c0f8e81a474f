import { IsBoolean, IsIn, IsInt, IsOptional } from 'class-validator';
import { ROLES } from './role.js';
import type { Role } from './role.js';
import { IsNewPassword, IsText } from '../rules/index.js';

const NAME = 'Give a name of 2 to 60 letters.';
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
  @IsText({ least: 2, most: 60, message: NAME })
  name!: string;

  @IsIn(ROLES, { message: ROLE })
  role!: Role;

  @IsNewPassword()
  password!: string;
}

export class UpdatePersonDto {
  @IsIn(ROLES, { message: ROLE })
  role!: Role;

  @IsBoolean({ message: 'Say whether the person is still with the crew.' })
  active!: boolean;

  /** left out: the password stays */
  @IsOptional()
  @IsNewPassword()
  password?: string;

  @IsInt({ message: 'The version that the change is based on is missing.' })
  version!: number;
}
