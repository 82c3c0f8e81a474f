import type { JobItemDto, Outcome, Severity } from '@yugator/contracts';
import type { MeterName } from '@yugator/core';
import { dayWords } from '../words/dates.js';
import { hoursWords } from '../words/figures.js';

export const OUTCOME_WORDS: Record<Outcome, string> = {
  done: 'done',
  kept: 'looked at and kept',
  deferred: 'put off',
  defect: 'found defective',
};

export const SEVERITY_WORDS: Record<Severity, string> = {
  watch: 'watch it',
  soon: 'mend it soon',
  stop: 'not to be used',
};

/** "loader " before the hours of a loader; nothing before those of the engine. */
function meterPrefix(meter: MeterName | null): string {
  return meter === null || meter === 'engine' ? '' : `${meter} `;
}

/** What became of an item, with its limit, weight and note. */
export function outcomeWords(item: JobItemDto, today: string): string {
  if (item.outcome === null) return 'not done yet';
  const until = [
    item.leavesOutNext ? 'clean, the next one left out' : '',
    item.untilLife === null ? '' : `until ${hoursWords(item.untilLife)} ${meterPrefix(item.untilMeter)}h`,
    item.untilOn === null ? '' : `until ${dayWords(item.untilOn, today)}`,
    item.severity === null ? '' : SEVERITY_WORDS[item.severity],
  ].filter(Boolean);
  const words = [OUTCOME_WORDS[item.outcome], ...until].join(', ');
  return item.note ? `${words}: ${item.note}` : words;
}
