import type { FuelFilter, OilDrain, OilFilter, ServiceFittings } from '@yugator/core';
import { Choose, choicesOf } from '../form/Choose.js';

const WIDE = { minWidth: 230 };

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
        <Choose
          fullWidth={false}
          sx={WIDE}
          label="The oil comes out by"
          value={fittings.oilDrain}
          choices={choicesOf(DRAIN_WORDS)}
          onChange={(oilDrain) => onChange({ ...fittings, oilDrain })}
        />
        <Choose
          fullWidth={false}
          sx={WIDE}
          label="Oil filter"
          value={fittings.oilFilter}
          choices={choicesOf(FILTER_WORDS)}
          onChange={(oilFilter) => onChange({ ...fittings, oilFilter })}
        />
        <Choose
          fullWidth={false}
          sx={WIDE}
          label="Fuel filter"
          value={fittings.fuelFilter}
          choices={choicesOf(FUEL_WORDS)}
          onChange={(fuelFilter) => onChange({ ...fittings, fuelFilter })}
        />
      </div>
    </fieldset>
  );
}
