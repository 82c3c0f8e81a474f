import type { JobStepDto } from '@yugator/contracts';
import type { SheetStep } from '@yugator/core';
import { useSession } from '../session/useSession.js';
import { momentWords } from '../words/dates.js';
import { foundWords } from './foundWords.js';
import styles from './sheet.module.css';

interface Props {
  readonly step: SheetStep;
  readonly others: JobStepDto['others'];
}

/** What others measured at the same step, who could not see what stands above. */
export function OthersPart({ step, others }: Props) {
  const { site, today } = useSession();
  if (others.length === 0) return null;
  return (
    <div className={styles.others} role="note">
      <b>Measured twice.</b> The later counts. If it is not right, measure again.
      <ul>
        {others.map(({ by, at, found }) => (
          <li key={`${by} ${at}`}>
            {by}, {momentWords(at, site.timeZone, today)}:{' '}
            {foundWords(step, found, site.unitSystem) || 'something else'}
          </li>
        ))}
      </ul>
    </div>
  );
}
