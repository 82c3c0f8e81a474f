import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import { KeepWalkDto, SEVERITIES } from '@yugator/contracts';
import { LOOKS } from '@yugator/core';
import type { LookKey } from '@yugator/core';
import type { UseFormReturn } from 'react-hook-form';
import { SightPicture } from '../check/SightPicture.js';
import { Field } from '../form/Field.js';
import { SEVERITY_WORDS } from '../job/outcomeWords.js';
import { capital } from '../words/capital.js';
import styles from './walk.module.css';

/** What is looked at: a line of a book, or a part of the standing look. */
export interface Looked {
  readonly key: string;
  readonly words: string;
  /** why it is looked at now; '' for the standing look */
  readonly reason: string;
  readonly look: LookKey | null;
}

interface Props {
  readonly form: Pick<UseFormReturn<KeepWalkDto>, 'register' | 'formState'>;
  readonly looked: Looked;
  /** place among what is not well; -1 where it is well */
  readonly at: number;
  readonly onNotWell: () => void;
  readonly onWell: () => void;
}

/** What may be seen of it, as pictures with words; what is not well is the rest of them. */
function Sights({ look }: { look: LookKey }) {
  return (
    <ul className={styles.sights}>
      {LOOKS[look].sights.map(({ key, words, answer }) => (
        <li key={key} data-good={answer === 'keep' || undefined}>
          <SightPicture look={look} sight={key} />
          {words}
        </li>
      ))}
    </ul>
  );
}

/** One thing that is looked at: well, until somebody says what is wrong with it. */
export function WalkRow({ form, looked: { words, reason, look }, at, onNotWell, onWell }: Props) {
  const isWell = at < 0;
  return (
    <li className={styles.row} data-well={isWell || undefined}>
      <div className={styles.line}>
        <span>
          <b>{words}</b>
          {reason ? <span className={styles.reason}>{reason}</span> : null}
        </span>
        <Button
          size="small"
          onClick={isWell ? onNotWell : onWell}
          aria-label={`${isWell ? 'Not well' : 'Well after all'}: ${words}`}
        >
          {isWell ? 'Not well' : 'Well after all'}
        </Button>
      </div>
      {isWell ? null : (
        <div className={styles.wrong}>
          {look ? <Sights look={look} /> : null}
          <Field
            form={form}
            name={`notWell.${at}.words`}
            label={`What is wrong: ${words}`}
            multiline
            autoFocus
          />
          <Field form={form} name={`notWell.${at}.severity`} label="How bad it is" select defaultValue="soon">
            {SEVERITIES.map((key) => (
              <MenuItem key={key} value={key}>
                {capital(SEVERITY_WORDS[key])}
              </MenuItem>
            ))}
          </Field>
        </div>
      )}
    </li>
  );
}
