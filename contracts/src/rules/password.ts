import { ValidateBy } from 'class-validator';
import { applyDecorators } from './applyDecorators.js';
import { textFault } from './plainText.js';
import { characters } from './text.js';
import { Transformed } from './transformed.js';

const LEAST = 12;
const MOST = 200;

/** The same password from every keyboard: in compatibility form (NFKC), as NIST SP 800-63B 5.1.1.2 asks. */
export function asPassword(text: string): string {
  return text.normalize('NFKC');
}

function isWithin(value: unknown, least: number): boolean {
  if (typeof value !== 'string' || value.length > 2 * MOST || textFault(value) !== null) return false;
  const count = characters(value);
  return count >= least && count <= MOST;
}

function Password(least: number, message: string): PropertyDecorator {
  return applyDecorators(
    Transformed((value) => (typeof value === 'string' ? asPassword(value) : value)),
    ValidateBy(
      { name: 'isPassword', validator: { validate: (value) => isWithin(value, least) } },
      { message },
    ),
  );
}

/** A password that somebody chooses. Whether it is a common one is looked at where it is kept. */
export function IsNewPassword(): PropertyDecorator {
  return Password(LEAST, 'Give a password of 12 to 200 characters; a short sentence is easy to remember.');
}

/** A password that somebody has; it may be older than the rule for new ones. */
export function IsPassword(): PropertyDecorator {
  return Password(1, 'Type your password.');
}
