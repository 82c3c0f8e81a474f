import { Max, Min } from 'class-validator';
import { applyDecorators } from './applyDecorators.js';
import { IsDecimal } from './decimal.js';

/** Hours as an hour meter shows them: a number from 0 to 99,999.9 in tenths. */
export function IsMeterHours(): PropertyDecorator {
  return applyDecorators(
    IsDecimal(2, { message: 'Type the hours as a number, such as 412.6.' }),
    Min(0, { message: 'An hour meter cannot show less than 0.' }),
    Max(99_999.9, { message: 'No hour meter shows more than 99,999.9. Check the figure.' }),
  );
}
