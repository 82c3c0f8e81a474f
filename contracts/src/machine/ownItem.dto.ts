import type { Action, Component } from '@yugator/core';
import { ACTIONS } from '@yugator/core';
import { ArrayNotEmpty, IsIn, IsInt, Max, Min } from 'class-validator';
import { AreComponents, IsText } from '../rules/index.js';
import { IntervalFieldsDto } from './machineParts.dto.js';

/** What something of a machine is done to, where older words did not say. */
export class SettledComponentsDto {
  @ArrayNotEmpty({ message: 'Choose what it is done to.' })
  @AreComponents()
  components!: Component[];
}

/** An item that only one machine has, as it is typed. */
export class OwnItemFieldsDto extends IntervalFieldsDto {
  @IsText({ least: 1, most: 80, message: 'Name the item as the shop says it, 1 to 80 letters.' })
  name!: string;

  @IsIn(ACTIONS, { message: 'Choose what is done.' })
  action!: Action;

  @ArrayNotEmpty({ message: 'Choose what it is done to.' })
  @AreComponents()
  components!: Component[];

  @Max(1440, { message: 'Give 1,440 minutes at most.' })
  @Min(0, { message: 'Minutes cannot be less than 0.' })
  @IsInt({ message: 'Give the minutes as a whole number, such as 30.' })
  minutes!: number;
}
