import { isComponent } from '@yugator/core';
import { ValidateBy } from 'class-validator';
import { applyDecorators } from './applyDecorators.js';
import { ListOf } from './shape.js';

const MOST = 6;
const CHOOSE = 'Choose what it is done to from the list of components.';

function areComponents(value: unknown): boolean {
  return Array.isArray(value) && value.every(isComponent) && new Set(value).size === value.length;
}

/** Components of the closed list, each once, six at most; none where a line of an older version is not settled yet. */
export function AreComponents(): PropertyDecorator {
  return applyDecorators(
    ListOf(MOST, `A line is done to ${MOST} components at most.`),
    ValidateBy({ name: 'areComponents', validator: { validate: areComponents } }, { message: CHOOSE }),
  );
}

/** A component of the closed list; null where a line of an older card is not settled yet. */
export function IsComponentOrNone(): PropertyDecorator {
  return ValidateBy(
    {
      name: 'isComponentOrNone',
      validator: { validate: (value: unknown) => value === null || isComponent(value) },
    },
    { message: CHOOSE },
  );
}

/** A component of the closed list. */
export function IsComponent(): PropertyDecorator {
  return ValidateBy({ name: 'isComponent', validator: { validate: isComponent } }, { message: CHOOSE });
}
