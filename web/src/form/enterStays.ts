import type { KeyboardEvent } from 'react';

/** Enter stays in the field: a scanner ends each code with it, and the form is not to be sent by that. */
export function enterStays(event: KeyboardEvent): void {
  if (event.key === 'Enter') event.preventDefault();
}
