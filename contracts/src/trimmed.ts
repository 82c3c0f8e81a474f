import { Transform } from 'class-transformer';

/** Takes the blanks off both ends of a text before it is validated. */
export function Trimmed(): PropertyDecorator {
  return Transform(({ value }: { value: unknown }) => (typeof value === 'string' ? value.trim() : value));
}
