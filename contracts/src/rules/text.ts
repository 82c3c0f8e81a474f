import { ValidateBy } from 'class-validator';
import { applyDecorators } from './applyDecorators.js';
import { ListOf } from './shape.js';
import { textFault } from './plainText.js';
import { Transformed } from './transformed.js';

interface TextOptions {
  /** fewest and most characters, counted as the database counts them: one for each code point */
  readonly least?: number;
  readonly most: number;
  readonly message: string;
  /** a note may have several lines */
  readonly hasLines?: boolean;
}

const LINE_BREAK = /[\t\n\r]/;
/** Most texts: one unit is one character, and nothing is composed. */
// oxlint-disable-next-line no-control-regex
const ASCII = /^[\x00-\x7f]*$/;

/** How many characters a text has for the database: code points, not the halves of surrogate pairs. */
export function characters(text: string): number {
  return ASCII.test(text) ? text.length : Array.from(text).length;
}

/** A text without the blanks at its ends, in the composed form of Unicode. */
function composed(text: string): string {
  const trimmed = text.trim();
  return ASCII.test(trimmed) ? trimmed : trimmed.normalize('NFC');
}

function isText(value: unknown, { least = 0, most, hasLines = false }: TextOptions): boolean {
  if (typeof value !== 'string' || textFault(value) !== null) return false;
  if (!hasLines && LINE_BREAK.test(value)) return false;
  // A code point has at most two halves, so what is longer than this need not be counted.
  if (value.length > 2 * most) return false;
  const count = characters(value);
  return count >= least && count <= most;
}

/** A text from `least` to `most` characters, the blanks at its ends cut off, in the composed form of Unicode (NFC). */
export function IsText(options: TextOptions): PropertyDecorator {
  return applyDecorators(
    Transformed((value) => (typeof value === 'string' ? composed(value) : value)),
    ValidateBy(
      { name: 'isText', validator: { validate: (value: unknown) => isText(value, options) } },
      { message: options.message },
    ),
  );
}

interface TextsOptions {
  readonly most: { readonly count: number; readonly message: string };
  readonly longest: number;
  readonly message: string;
}

/** A list of texts, none of them empty. */
export function IsTexts({ most, longest, message }: TextsOptions): PropertyDecorator {
  const isOne = (value: unknown) => isText(value, { least: 1, most: longest, message });
  return applyDecorators(
    ListOf(most.count, most.message),
    ValidateBy(
      { name: 'isTexts', validator: { validate: (value) => Array.isArray(value) && value.every(isOne) } },
      { message },
    ),
  );
}
