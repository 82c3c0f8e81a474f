import { QuantityInput } from '../form/QuantityInput.js';

interface Props {
  readonly label: string;
  /** null while it is empty */
  readonly litres: number | null;
  readonly onChange: (litres: number | null) => void;
}

/** A volume typed in any unit; empty is none. What cannot be read is said there, and the volume stays as it was. */
export function LitresField({ label, litres, onChange }: Props) {
  return (
    <QuantityInput
      label={label}
      dimension="volume"
      width={190}
      value={litres}
      onChange={(value) => {
        if (!Number.isNaN(value)) onChange(value);
      }}
    />
  );
}
