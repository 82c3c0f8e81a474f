import { toNestErrors } from '@hookform/resolvers';
import type { FieldError, FieldValues, Resolver } from 'react-hook-form';

/** What was typed as it is sent, or what is wrong with it, in sentences by the name of the field in the form. */
export type Reading<Sent> = { readonly value: Sent } | { readonly faults: Readonly<Record<string, string>> };

/**
 * Checks a form whose fields are typed otherwise than they are sent: a figure in any unit, a chart of marks. `read` is the one rule
 * for it; while it finds anything wrong, nothing is sent.
 */
export function readResolver<Typed extends FieldValues, Sent extends FieldValues>(
  read: (typed: Typed) => Reading<Sent>,
): Resolver<Typed, unknown, Sent> {
  return (typed, _context, options) => {
    const reading = read(typed);
    if ('value' in reading) return { values: reading.value, errors: {} };
    const faults: Record<string, FieldError> = {};
    for (const [name, message] of Object.entries(reading.faults)) faults[name] = { type: 'read', message };
    return { values: {}, errors: toNestErrors<Typed>(faults, options) };
  };
}
