import { IsInt, IsNumber, IsOptional, Max, Min } from 'class-validator';
import { applyDecorators } from '../rules/index.js';

/** Hours before an hours limit at which an item is ripe; left out or null for the usual tenth. */
export function IsWindowHours(): PropertyDecorator {
  return applyDecorators(
    IsNumber({ maxDecimalPlaces: 1 }, { message: 'Give the hours as a number, such as 5.' }),
    Min(0, { message: 'A window cannot be less than 0.' }),
    Max(500, { message: 'Give 500 h at most.' }),
    IsOptional(),
  );
}

/** Days before a calendar limit at which an item is ripe; left out or null for the usual tenth. */
export function IsWindowDays(): PropertyDecorator {
  return applyDecorators(
    IsInt({ message: 'Give the days as a whole number, such as 14.' }),
    Min(0, { message: 'A window cannot be less than 0.' }),
    Max(180, { message: 'Give 180 days at most.' }),
    IsOptional(),
  );
}
