import TextField from '@mui/material/TextField';
import { degreesOf, parseTemperature } from '@yugator/core';
import { useParam, useUnits } from './useParam.js';

/** A temperature of the address, in °C; null where it is none. */
export function useTemperature(name: string, usual: string): number | null {
  const units = useUnits();
  const [typed] = useParam(name, usual);
  return parseTemperature(typed, degreesOf(units));
}

interface Props {
  readonly name: string;
  readonly usual: string;
  readonly label: string;
  /** an empty field is no fault */
  readonly mayBeEmpty?: boolean;
}

/** Types a temperature of the address, in °C or °F. */
export function TemperatureParam({ name, usual, label, mayBeEmpty = false }: Props) {
  const units = useUnits();
  const [typed, type] = useParam(name, usual);
  const isWrong = useTemperature(name, usual) === null && !(mayBeEmpty && typed.trim() === '');
  return (
    <TextField
      fullWidth={false}
      label={`${label}, °${degreesOf(units)}`}
      value={typed}
      onChange={(event) => type(event.target.value)}
      error={isWrong}
      helperText={isWrong ? 'Type degrees, such as 21 °C or 70 °F.' : undefined}
      slotProps={{ htmlInput: { autoComplete: 'off', className: 'fig' } }}
    />
  );
}
