import TextField from '@mui/material/TextField';
import { parseQuantity, shownUnit } from '@yugator/core';
import type { Dimension } from '@yugator/core';
import { parseFigure } from '../words/figures.js';
import { useParam, useUnits } from './useParam.js';

/** A figure of the address, in SI; null where it is none. A count has no dimension. */
export function useQuantity(name: string, usual: string, dimension: Dimension | null): number | null {
  const units = useUnits();
  const [typed] = useParam(name, usual);
  if (dimension !== null) return parseQuantity(typed, dimension, shownUnit(dimension, units).unit);
  const figure = parseFigure(typed);
  return Number.isFinite(figure) ? figure : null;
}

interface Props {
  readonly name: string;
  readonly usual: string;
  readonly label: string;
  readonly dimension: Dimension | null;
  /** an empty field is no fault */
  readonly mayBeEmpty?: boolean;
}

/** Types a figure of the address, in any unit. */
export function QuantityParam({ name, usual, label, dimension, mayBeEmpty = false }: Props) {
  const [typed, type] = useParam(name, usual);
  const isNone = useQuantity(name, usual, dimension) === null;
  const isWrong = isNone && !(mayBeEmpty && typed.trim() === '');
  return (
    <TextField
      fullWidth={false}
      label={label}
      value={typed}
      onChange={(event) => type(event.target.value)}
      error={isWrong}
      helperText={isWrong ? 'Type a figure, with its unit where you like.' : undefined}
      slotProps={{
        htmlInput: { inputMode: dimension ? 'text' : 'decimal', autoComplete: 'off', className: 'fig' },
      }}
    />
  );
}
