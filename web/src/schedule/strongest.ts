import type { DueLineDto } from '@yugator/contracts';
import type { DueState } from '@yugator/core';

/** The state of a machine by its lines, which are worst first. */
export function strongest(lines: readonly DueLineDto[]): DueState {
  return lines[0]?.state ?? 'fine';
}
