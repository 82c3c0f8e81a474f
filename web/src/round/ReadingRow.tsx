import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import type { RoundMeterDto } from '@yugator/contracts';
import { memo } from 'react';
import { PhotoField } from '../photo/PhotoField.js';
import { Plate } from '../page/Plate.js';
import { useSession } from '../session/useSession.js';
import { momentWords } from '../words/dates.js';
import { hoursWords } from '../words/figures.js';
import type { TypedVerdict } from './judge.js';
import styles from './round.module.css';
import { verdictWords } from './verdictWords.js';

interface Props {
  readonly meter: RoundMeterDto;
  readonly typed: string;
  readonly verdict: TypedVerdict;
  readonly onType: (key: string, typed: string) => void;
  /** an unusual figure that the person looked at again */
  readonly confirmed: boolean;
  readonly onConfirm: (key: string, typed: string) => void;
  readonly photo: string | null;
  readonly onPhoto: (key: string, jpeg: string | null) => void;
}

/** What was typed comes to; more than is likely is asked about. */
function Verdict({
  meter,
  verdict,
  confirmed,
  onConfirm,
}: Pick<Props, 'meter' | 'verdict' | 'confirmed'> & { readonly onConfirm: () => void }) {
  if (verdict.kind !== 'unusual') return verdictWords(verdict);
  if (confirmed) return `+${hoursWords(verdict.grown)} h, confirmed`;
  return (
    <>
      {verdictWords(verdict)}
      <Button size="small" onClick={onConfirm} aria-label={`It is right: ${meter.tag}`}>
        It is right
      </Button>
    </>
  );
}

/** One meter: what it showed last, what it shows now, and whether that can be. */
export const ReadingRow = memo(function ReadingRow({
  meter,
  typed,
  verdict,
  onType,
  confirmed,
  onConfirm,
  photo,
  onPhoto,
}: Props) {
  const { site, today } = useSession();
  const last = meter.readings.at(-1);
  const isWrong =
    verdict.kind === 'refused' || verdict.kind === 'notAFigure' || (verdict.kind === 'unusual' && !confirmed);
  const id = `reading-${meter.key}`;
  return (
    <div className={styles.row}>
      <Plate tag={meter.tag} />
      <label htmlFor={id} className={styles.name}>
        {meter.name}
      </label>
      <span className={styles.last}>
        <span className="fig">{last ? hoursWords(last.shown) : 'no reading'}</span>
        <span className="soft">{last ? ` on ${momentWords(last.at, site.timeZone, today)}` : ''}</span>
        <span className={styles.expected}>
          {meter.staleDays === null ? '' : `not read for ${meter.staleDays} days; `}
          {meter.expectedShown === null ? '' : `about ${hoursWords(meter.expectedShown)} now`}
        </span>
      </span>
      <TextField
        id={id}
        value={typed}
        onChange={(event) => onType(meter.key, event.target.value)}
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
        <Verdict
          meter={meter}
          verdict={verdict}
          confirmed={confirmed}
          onConfirm={() => onConfirm(meter.key, typed)}
        />
        {verdict.kind === 'accepted' || verdict.kind === 'unusual' ? (
          <PhotoField
            of={`the meter: ${meter.tag} ${meter.name}`}
            jpeg={photo}
            onChange={(jpeg) => onPhoto(meter.key, jpeg)}
          />
        ) : null}
      </span>
    </div>
  );
});
