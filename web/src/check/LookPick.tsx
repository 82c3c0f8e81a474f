import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { Found } from '@yugator/contracts';
import { keysOf, LOOKS, sightOf } from '@yugator/core';
import type { LookKey } from '@yugator/core';
import styles from './check.module.css';
import { ANSWER_WORDS, SightPicture } from './SightPicture.js';

const ANSWERS = keysOf(ANSWER_WORDS);

interface Props {
  readonly look: LookKey;
  readonly found: Found;
  readonly onChange: (found: Found) => void;
  readonly disabled?: boolean;
}

/** Guided looking: pick what is seen, get the answer with its reason, and decide otherwise with a note. */
export function LookPick({ look, found, onChange, disabled = false }: Props) {
  const { question, sights } = LOOKS[look];
  const seen = typeof found['sight'] === 'string' ? sightOf(look, found['sight']) : undefined;
  const decided = typeof found['decided'] === 'string' ? found['decided'] : seen?.answer;
  const isOwn = seen !== undefined && decided !== seen.answer;
  return (
    <fieldset className={styles.measure} disabled={disabled}>
      <legend>{question}</legend>
      <div className={styles.sights}>
        {sights.map((sight) => (
          <button
            key={sight.key}
            type="button"
            aria-pressed={seen?.key === sight.key}
            onClick={() => onChange({ ...found, sight: sight.key, decided: sight.answer })}
          >
            <SightPicture look={look} sight={sight.key} />
            {sight.words}
          </button>
        ))}
      </div>
      {seen ? (
        <>
          <p role="status" className={seen.answer === 'keep' ? styles.good : styles.bad}>
            {ANSWER_WORDS[seen.answer]}. {seen.reason}
          </p>
          <div className={styles.fields} style={{ marginTop: 8 }}>
            <TextField
              select
              fullWidth={false}
              label="Decided"
              value={decided}
              sx={{ minWidth: 190 }}
              onChange={(event) => onChange({ ...found, decided: event.target.value })}
            >
              {ANSWERS.map((answer) => (
                <MenuItem key={answer} value={answer}>
                  {ANSWER_WORDS[answer]}
                </MenuItem>
              ))}
            </TextField>
            {isOwn ? (
              <TextField
                fullWidth={false}
                label="Why otherwise"
                sx={{ flex: '1 1 220px' }}
                value={typeof found['note'] === 'string' ? found['note'] : ''}
                onChange={(event) => onChange({ ...found, note: event.target.value })}
              />
            ) : null}
          </div>
        </>
      ) : null}
    </fieldset>
  );
}
