import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { atDipstick, parseQuantity, shownUnit } from '@yugator/core';
import type { DipstickTarget } from '@yugator/core';
import { useState } from 'react';
import { useSession } from '../session/useSession.js';
import check from '../check/check.module.css';
import { inJug } from './jugSizes.js';
import type { JugSize } from './jugSizes.js';

type Place = readonly [reading: number, words: string];

/** Places on any dipstick, the low mark at 0 and the full one at 1. */
const PLACES: readonly Place[] = [
  [-0.25, 'Below the low mark'],
  [0, 'At the low mark'],
  [0.25, 'A quarter up'],
  [0.5, 'Half way'],
  [0.75, 'Three quarters up'],
  [1, 'At the full mark'],
  [1.25, 'Above the full mark'],
];
const SHADE_UNDER = 0.9;

/** Where the oil may stand, the shade under full where the crew has it. */
function placesOf({ target, shade }: DipstickTarget, betweenMarks: number): Place[] {
  const under = target === 'shadeUnder' ? Math.round((1 - shade / betweenMarks) * 100) / 100 : SHADE_UNDER;
  const others = PLACES.filter(([reading]) => reading !== under);
  return [...others, [under, 'A shade under full'] as const].sort(([a], [b]) => a - b);
}

interface Props {
  readonly target: DipstickTarget;
  readonly jug: JugSize;
  /** -0.25 to 1.25; null while nothing was read */
  readonly reading: number | null;
  /** litres from the low to the full mark */
  readonly betweenMarks: number;
  /** common practice: neither the card nor anybody says */
  readonly isUsual?: boolean;
  /** the low and the full mark as they look on this machine */
  readonly marks?: string | undefined;
  readonly onChange: (reading: number, betweenMarks: number) => void;
}

function adviceWords({
  target,
  jug,
  reading,
  betweenMarks,
}: Props): { isGood: boolean; words: string } | null {
  if (reading === null) return null;
  const advice = atDipstick(reading, betweenMarks, target);
  switch (advice.kind) {
    case 'full':
      return { isGood: true, words: 'Right. Nothing more.' };
    case 'add':
      return {
        isGood: false,
        words: `Add about ${inJug(advice.litres, jug)}, in small amounts, and read again.`,
      };
    case 'overfull':
      return {
        isGood: false,
        words: `About ${inJug(advice.litres, jug)} too much: it foams and blows past the seals. Draw it off through the dipstick tube or let it out at the drain, and read again. Do not run it like this.`,
      };
  }
}

/** The dipstick, read in the machine's own marks, and what to do. */
export function Dipstick(props: Props) {
  const { target, reading, betweenMarks, isUsual = false, marks = '', onChange } = props;
  const { site } = useSession();
  const { unit } = shownUnit('volume', site.unitSystem);
  const [typed, setTyped] = useState(() => inJug(betweenMarks, props.jug));
  const advice = adviceWords(props);
  return (
    <fieldset className={check.measure}>
      <legend>
        Where does the oil stand?
        {marks ? <span className="soft"> (low to full: {marks})</span> : null}
      </legend>
      <div className={check.fields}>
        <TextField
          select
          fullWidth={false}
          label="Dipstick"
          value={reading === null ? '' : String(reading)}
          onChange={(event) => onChange(Number(event.target.value), betweenMarks)}
          sx={{ minWidth: 210 }}
        >
          {placesOf(target, betweenMarks).map(([place, words]) => (
            <MenuItem key={place} value={String(place)}>
              {words}
            </MenuItem>
          ))}
        </TextField>
        <TextField
          fullWidth={false}
          label="Low to full mark"
          helperText={isUsual ? 'Usual; the card does not say.' : undefined}
          value={typed}
          onChange={(event) => {
            setTyped(event.target.value);
            const litres = parseQuantity(event.target.value, 'volume', unit);
            if (litres !== null && litres > 0 && reading !== null) onChange(reading, litres);
          }}
        />
      </div>
      <p role="status" className={advice ? (advice.isGood ? check.good : check.bad) : undefined}>
        {advice ? `${advice.isGood ? '✓' : '✗'} ${advice.words}` : ''}
      </p>
    </fieldset>
  );
}
