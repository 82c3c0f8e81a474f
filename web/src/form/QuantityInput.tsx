import TextField from '@mui/material/TextField';
import { inUnit, parseQuantity, shownUnit, unitTyped } from '@yugator/core';
import type { Dimension } from '@yugator/core';
import { useState } from 'react';
import type { Ref } from 'react';
import { useSession } from '../session/useSession.js';

const EXAMPLES: Record<Dimension, string> = {
  volume: 'a volume, such as 3.2 L or 2 qt',
  torque: 'a torque, such as 20 N·m or 15 lbf·ft',
  pressure: 'a pressure, such as 97 kPa or 14 psi',
  length: 'a length, such as 0.76 mm or 30 mil',
  power: 'a power, such as 18 kW or 24 hp',
  voltage: 'a voltage, such as 12.6 V',
  share: 'a share, such as 20 %',
  angle: 'degrees, such as 90°',
};

interface Props {
  readonly label: string;
  readonly dimension: Dimension;
  /** in SI; null while it is empty, NaN while it cannot be read */
  readonly value: number | null;
  readonly onChange: (value: number | null) => void;
  /** decimals in SI that the value is kept with */
  readonly keptDecimals?: number;
  readonly hint?: string | undefined;
  readonly fault?: string | undefined;
  readonly disabled?: boolean | undefined;
  readonly autoFocus?: boolean | undefined;
  /** beside other fields, not across the whole form */
  readonly width?: number;
  readonly ariaLabel?: string | undefined;
  readonly onBlur?: (() => void) | undefined;
  readonly inputRef?: Ref<HTMLInputElement> | undefined;
}

/** A quantity as it is typed and as it is understood. */
function useTyped({ dimension, value, keptDecimals }: Pick<Props, 'dimension' | 'value' | 'keptDecimals'>) {
  const { site } = useSession();
  const { unit, decimals } = shownUnit(dimension, site.unitSystem);
  const [typed, setTyped] = useState<string | null>(null);
  const read = (text: string): number | null => {
    if (text.trim() === '') return null;
    const parsed = parseQuantity(text, dimension, unit) ?? NaN;
    return keptDecimals === undefined ? parsed : Number(parsed.toFixed(keptDecimals));
  };
  const shown = value === null || Number.isNaN(value) ? '' : inUnit(value, dimension, unit, decimals);
  // Text typed here stands as long as it says what the field holds: somebody else may have put the figure right.
  const reading = typed === null ? null : read(typed);
  const isWrong = Number.isNaN(reading);
  const text = typed !== null && (isWrong || Object.is(reading, value)) ? typed : shown;
  const isOtherUnit = !isWrong && ![unit, null].includes(unitTyped(text));
  return {
    unit,
    text,
    isWrong,
    understood: isOtherUnit ? `That is ${shown} ${unit}.` : null,
    read,
    setTyped,
  };
}

/** What stands under the field: what to type where it cannot be read, else what is wrong, what was understood, or a hint. */
function wordsUnder(
  { dimension, fault, hint }: Pick<Props, 'dimension' | 'fault' | 'hint'>,
  { isWrong, understood }: { isWrong: boolean; understood: string | null },
): string | undefined {
  return isWrong ? `Type ${EXAMPLES[dimension]}.` : (fault ?? understood ?? hint);
}

/** A quantity typed in any unit of the trade; under it, what was understood where it was typed in another unit than is shown. */
export function QuantityInput(props: Props) {
  const { label, fault, width, ariaLabel, disabled, autoFocus, onBlur, inputRef, onChange } = props;
  const quantity = useTyped(props);
  return (
    <TextField
      label={`${label} (${quantity.unit})`}
      value={quantity.text}
      onChange={({ target }) => {
        quantity.setTyped(target.value);
        onChange(quantity.read(target.value));
      }}
      onBlur={onBlur}
      inputRef={inputRef}
      disabled={disabled}
      autoFocus={autoFocus}
      error={quantity.isWrong || fault !== undefined}
      helperText={wordsUnder(props, quantity)}
      slotProps={{ htmlInput: { autoComplete: 'off', className: 'fig', 'aria-label': ariaLabel } }}
      fullWidth={width === undefined}
      sx={width === undefined ? {} : { width }}
    />
  );
}
