import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import type { FluidTakenDto } from '@yugator/contracts';
import { capital, LOOKS } from '@yugator/core';
import type { LookKey } from '@yugator/core';
import { SightPicture } from '../check/SightPicture.js';
import { choicesOf, Choose } from '../form/Choose.js';
import { SEVERITY_WORDS } from '../job/outcomeWords.js';
import { PhotoField } from '../photo/PhotoField.js';
import { pouredAtFirst } from '../topUp/poured.js';
import { PouredFields } from '../topUp/PouredFields.js';
import type { Ending, Looked, Said } from './said.js';
import styles from './walk.module.css';

interface Props {
  readonly looked: Looked;
  readonly fluids: readonly FluidTakenDto[];
  /** undefined while it is well */
  readonly said: Said | undefined;
  /** null: it is well after all */
  readonly onSay: (said: Said | null) => void;
  readonly faultOf: (part: string) => string | undefined;
}

const ENDING_WORDS: Record<Ending, string> = {
  defect: 'A defect',
  putRight: 'Put right',
  toppedUp: 'Topped up',
};

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

interface EndingProps {
  readonly words: string;
  readonly said: Said;
  readonly fluids: readonly FluidTakenDto[];
  readonly onSay: (said: Said) => void;
  readonly faultOf: (part: string) => string | undefined;
}

function Defect({ words, said, onSay, faultOf }: EndingProps) {
  return (
    <>
      <TextField
        label={`What is wrong: ${words}`}
        value={said.words}
        onChange={({ target }) => onSay({ ...said, words: target.value })}
        error={faultOf('words') !== undefined}
        helperText={faultOf('words')}
        multiline
        autoFocus
      />
      <Choose
        label="How bad it is"
        value={said.severity}
        choices={choicesOf(SEVERITY_WORDS).map(([key, each]) => [key, capital(each)] as const)}
        onChange={(severity) => onSay({ ...said, severity })}
        helperText={said.severity === 'stop' ? 'The machine is taken out of service at once.' : undefined}
      />
      <PhotoField of={words} jpeg={said.jpeg} onChange={(jpeg) => onSay({ ...said, jpeg })} />
      {faultOf('jpeg') ? <span role="alert">{faultOf('jpeg')}</span> : null}
    </>
  );
}

/** How it ends: as a defect, put right on the spot, or topped up. */
function EndingFields(props: EndingProps) {
  const { words, said, fluids, onSay, faultOf } = props;
  switch (said.ending) {
    case 'defect':
      return <Defect {...props} />;
    case 'putRight':
      return (
        <TextField
          label={`What was done: ${words}`}
          value={said.words}
          onChange={({ target }) => onSay({ ...said, words: target.value })}
          error={faultOf('words') !== undefined}
          helperText={faultOf('words')}
          autoFocus
        />
      );
    case 'toppedUp':
      return (
        <PouredFields
          poured={said.poured}
          onChange={(poured) => onSay({ ...said, poured })}
          fluids={fluids}
          faultOf={faultOf}
        />
      );
  }
}

/** One thing that is looked at: well, until somebody says what is wrong with it. */
export function WalkRow({ looked, fluids, said, onSay, faultOf }: Props) {
  const { key, isLine, words, reason, look, fluid } = looked;
  const begin = (): Said => ({
    key,
    isLine,
    ending: fluid ? 'toppedUp' : 'defect',
    words: '',
    severity: 'soon',
    jpeg: null,
    poured: pouredAtFirst(fluids, fluid ?? undefined),
  });
  return (
    <li className={styles.row} data-well={said === undefined || undefined}>
      <div className={styles.line}>
        <span>
          <b>{words}</b>
          {reason ? <span className={styles.reason}>{reason}</span> : null}
        </span>
        <Button
          size="small"
          onClick={() => onSay(said ? null : begin())}
          aria-label={`${said ? 'Well after all' : 'Not well'}: ${words}`}
        >
          {said ? 'Well after all' : 'Not well'}
        </Button>
      </div>
      {said ? (
        <div className={styles.wrong}>
          {look ? <Sights look={look} /> : null}
          <ToggleButtonGroup
            exclusive
            value={said.ending}
            aria-label={`What becomes of it: ${words}`}
            onChange={(_event, ending: Ending | null) => (ending ? onSay({ ...said, ending }) : undefined)}
          >
            {(['toppedUp', 'putRight', 'defect'] as const)
              .filter((ending) => fluid !== null || ending !== 'toppedUp')
              .map((ending) => (
                <ToggleButton key={ending} value={ending}>
                  {ENDING_WORDS[ending]}
                </ToggleButton>
              ))}
          </ToggleButtonGroup>
          <EndingFields words={words} said={said} fluids={fluids} onSay={onSay} faultOf={faultOf} />
        </div>
      ) : null}
    </li>
  );
}
