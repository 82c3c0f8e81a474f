import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import type { RoundMachineDto } from '@yugator/contracts';
import { memo } from 'react';
import { Plate } from '../page/Plate.js';
import { useSession } from '../session/useSession.js';
import { momentWords } from '../words/dates.js';
import { hoursWords } from '../words/figures.js';
import type { TypedVerdict } from './judge.js';
import styles from './round.module.css';
import { verdictWords } from './verdictWords.js';

interface Props {
  readonly machine: RoundMachineDto;
  readonly typed: string;
  readonly verdict: TypedVerdict;
  readonly onType: (id: string, typed: string) => void;
  /** an unusual figure that the person looked at again */
  readonly confirmed: boolean;
  readonly onConfirm: (id: string, typed: string) => void;
}

/** One meter: what it showed last, what it shows now, and whether that can be. */
export const ReadingRow = memo(function ReadingRow({
  machine,
  typed,
  verdict,
  onType,
  confirmed,
  onConfirm,
}: Props) {
  const { site, today } = useSession();
  const last = machine.readings.at(-1);
  const isWrong =
    verdict.kind === 'refused' || verdict.kind === 'notAFigure' || (verdict.kind === 'unusual' && !confirmed);
  const id = `reading-${machine.id}`;
  return (
    <div className={styles.row}>
      <Plate tag={machine.tag} />
      <label htmlFor={id} className={styles.name}>
        {machine.name}
      </label>
      <span className={styles.last}>
        <span className="fig">{last ? hoursWords(last.shown) : 'no reading'}</span>
        <span className="soft">{last ? ` on ${momentWords(last.at, site.timeZone, today)}` : ''}</span>
        <span className={styles.expected}>
          {machine.staleDays === null ? '' : `not read for ${machine.staleDays} days; `}
          {machine.expectedShown === null ? '' : `about ${hoursWords(machine.expectedShown)} now`}
        </span>
      </span>
      <TextField
        id={id}
        value={typed}
        onChange={(event) => onType(machine.id, event.target.value)}
        error={isWrong}
        placeholder="hours"
        slotProps={{
          htmlInput: {
            inputMode: 'decimal',
            autoComplete: 'off',
            enterKeyHint: 'next',
            className: `fig ${styles.figure}`,
            'aria-describedby': `${id}-verdict`,
          },
        }}
      />
      <span id={`${id}-verdict`} role="status" className={isWrong ? styles.wrong : styles.right}>
        {verdict.kind === 'unusual' && confirmed
          ? `+${hoursWords(verdict.grown)} h, confirmed`
          : verdictWords(verdict)}
        {verdict.kind === 'unusual' && !confirmed ? (
          <Button
            size="small"
            onClick={() => onConfirm(machine.id, typed)}
            aria-label={`It is right: ${machine.tag}`}
          >
            It is right
          </Button>
        ) : null}
      </span>
    </div>
  );
});
