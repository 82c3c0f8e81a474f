import type { PlanTroubleDto } from '@yugator/contracts';
import { nearDayWords } from '../words/dates.js';
import { countWords } from '../words/figures.js';

/** Why a published plan no longer holds, in a sentence. */
export function troubleWords({ kind, machine, on, lines }: PlanTroubleDto, today: string): string {
  const tag = machine?.tag ?? '';
  const day = on === null ? '' : nearDayWords(on, today);
  const work = lines.join(', ');
  switch (kind) {
    case 'late':
      return `${tag}: ${work} will be past the limit ${day}, when it is planned`;
    case 'notPlanned':
      return `${tag}: ${work} will be past the limit, and no visit is planned for it`;
    case 'noParts':
      return `${tag}: the parts for ${work} come after the visit planned ${day}`;
    case 'closed':
      return `${tag}: the workshop is closed ${day}`;
    case 'needed':
      return `${tag} is needed elsewhere ${day}`;
    case 'tooFull':
      return `More is planned ${day} than there is time or room for`;
  }
}

/** How much is wrong with it, in short: "2 visits too late, 1 day too full". */
export function troubleCounts(troubles: readonly PlanTroubleDto[]): string {
  const count = (...kinds: readonly PlanTroubleDto['kind'][]) =>
    troubles.filter(({ kind }) => kinds.includes(kind)).length;
  const [late, missing, off, full] = [
    count('late'),
    count('notPlanned'),
    count('noParts', 'closed', 'needed'),
    count('tooFull'),
  ];
  return [
    late ? `${countWords(late, 'visit')} too late` : '',
    missing ? `${countWords(missing, 'machine')} without a visit for what comes due` : '',
    off ? `${countWords(off, 'visit')} not possible on the day` : '',
    full ? `${countWords(full, 'day')} too full` : '',
  ]
    .filter(Boolean)
    .join(', ');
}
