import { IsNumber, IsOptional, Max, Min } from 'class-validator';
import { applyDecorators, IsComponentOrNone, IsText } from '../rules/index.js';

/** A name that a line cannot be without. */
export function Name(what: string): PropertyDecorator {
  return IsText({ least: 1, most: 60, message: `Name the ${what} in 1 to 60 letters.` });
}

/** What the line is of; left out by older versions, whose names said it. */
export function Of(): PropertyDecorator {
  return applyDecorators(IsOptional(), IsComponentOrNone());
}

/** A name of the card's own, besides that of the component. */
export function OwnName(): PropertyDecorator {
  return IsText({ most: 60, message: 'Keep the name within 60 letters.' });
}

export function Note(): PropertyDecorator {
  return IsText({ most: 200, message: 'Keep the note within 200 letters.' });
}

export function Amount(sentence: string, most: number, least = 0): PropertyDecorator {
  return applyDecorators(
    IsNumber({ maxDecimalPlaces: 6 }, { message: sentence }),
    Min(least, { message: sentence }),
    Max(most, { message: sentence }),
  );
}
