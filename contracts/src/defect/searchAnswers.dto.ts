import { SEARCH_CHOICES } from '@yugator/core';
import type { SearchAnswers, SearchVerdict } from '@yugator/core';
import { IsIn, IsNumber, IsOptional, Max, Min } from 'class-validator';
import { applyDecorators } from '../rules/index.js';

function Choice(key: keyof typeof SEARCH_CHOICES): PropertyDecorator {
  return applyDecorators(
    IsIn(SEARCH_CHOICES[key], { message: 'Choose one of the answers that are offered.' }),
    IsOptional(),
  );
}

function Figure(least: number, most: number, message: string): PropertyDecorator {
  return applyDecorators(
    Max(most, { message }),
    Min(least, { message }),
    IsNumber({ maxDecimalPlaces: 2 }, { message }),
    IsOptional(),
  );
}

const VOLTS = 'Give the voltage of a 12 V battery, from 0 to 20 V, such as 12.45 V.';

/** What was found while it was searched why a machine does not start. */
export class SearchAnswersDto implements SearchAnswers {
  @Choice('turns')
  turns?: NonNullable<SearchAnswers['turns']>;

  /** V */
  @Figure(0, 20, VOLTS)
  rest?: number;

  /** V */
  @Figure(0, 20, VOLTS)
  charged?: number;

  @Choice('tester')
  tester?: NonNullable<SearchAnswers['tester']>;

  /** V */
  @Figure(0, 20, VOLTS)
  load?: number;

  /** °C */
  @Figure(-50, 80, 'Give the temperature of the battery, from -50 to 80 °C.')
  celsius?: number;

  @Choice('terminals')
  terminals?: NonNullable<SearchAnswers['terminals']>;

  @Choice('fuse')
  fuse?: NonNullable<SearchAnswers['fuse']>;

  @Choice('switches')
  switches?: NonNullable<SearchAnswers['switches']>;
}

/** A search to its end, as it is kept with the defect. */
export class DefectSearchDto {
  /** civil date */
  on!: string;
  /** who searched, by the name of that day */
  by!: string;
  answers!: SearchAnswersDto;
  verdict!: SearchVerdict;
}
