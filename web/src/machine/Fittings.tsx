import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { FUEL_FILTERS, OIL_DRAINS, OIL_FILTERS } from '@yugator/core';
import type { FuelFilter, OilDrain, OilFilter, ServiceFittings } from '@yugator/core';

const DRAIN_WORDS: Record<OilDrain, string> = {
  plug: 'One drain plug',
  twoPlugs: 'Two drain plugs',
  valve: 'A drain valve',
  hose: 'A drain hose',
  extractor: 'Extractor only',
  cartridge: 'A sealed oil cartridge',
};

const FILTER_WORDS: Record<OilFilter, string> = {
  upright: 'Spin-on, hanging upright',
  sideways: 'Spin-on, on its side',
  element: 'An element in a housing',
  none: 'None',
};

const FUEL_WORDS: Record<FuelFilter, string> = {
  inLine: 'In the line',
  bowl: 'A bowl',
  spinOn: 'Spin-on',
};

/** How the engine is fitted, in words. */
export function fittingsWords({ oilDrain, oilFilter, fuelFilter }: ServiceFittings): string {
  return `Oil drain: ${DRAIN_WORDS[oilDrain]}. Oil filter: ${FILTER_WORDS[oilFilter]}. Fuel filter: ${FUEL_WORDS[fuelFilter]}.`;
}

interface SelectProps<K extends string> {
  readonly label: string;
  readonly value: K;
  readonly options: readonly K[];
  readonly words: Record<K, string>;
  readonly onChange: (value: K) => void;
}

function Select<K extends string>({ label, value, options, words, onChange }: SelectProps<K>) {
  return (
    <TextField
      select
      fullWidth={false}
      label={label}
      value={value}
      onChange={(event) => onChange(event.target.value as K)}
      sx={{ minWidth: 230 }}
    >
      {options.map((key) => (
        <MenuItem key={key} value={key}>
          {words[key]}
        </MenuItem>
      ))}
    </TextField>
  );
}

/** Says how the engine is fitted: the sheets of its jobs follow. */
export function FittingsEdit({
  fittings,
  onChange,
}: {
  fittings: ServiceFittings;
  onChange: (fittings: ServiceFittings) => void;
}) {
  return (
    <fieldset style={{ border: 0, padding: 0, margin: '0 0 18px' }}>
      <legend style={{ fontWeight: 700, paddingBottom: 10 }}>How the engine is fitted</legend>
      <div style={{ display: 'flex', flexWrap: 'wrap', gap: 12 }}>
        <Select
          label="The oil comes out by"
          value={fittings.oilDrain}
          options={OIL_DRAINS}
          words={DRAIN_WORDS}
          onChange={(oilDrain) => onChange({ ...fittings, oilDrain })}
        />
        <Select
          label="Oil filter"
          value={fittings.oilFilter}
          options={OIL_FILTERS}
          words={FILTER_WORDS}
          onChange={(oilFilter) => onChange({ ...fittings, oilFilter })}
        />
        <Select
          label="Fuel filter"
          value={fittings.fuelFilter}
          options={FUEL_FILTERS}
          words={FUEL_WORDS}
          onChange={(fuelFilter) => onChange({ ...fittings, fuelFilter })}
        />
      </div>
    </fieldset>
  );
}
