import type {
  AirCleaner,
  BatteryKind,
  DeckWash,
  FuelBleed,
  FuelFilter,
  MachineSetUp,
  OilDrain,
  OilFilter,
  ServiceFittings,
} from '@yugator/core';
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

const BLEED_WORDS: Record<FuelBleed, string> = {
  notSaid: 'Not said',
  screw: 'At a bleed screw',
  self: 'By itself, in starting',
};

const CLEANER_WORDS: Record<AirCleaner, string> = {
  notSaid: 'Not said',
  single: 'One element',
  twoStage: 'Two elements, one within the other',
};

const BATTERY_WORDS: Record<BatteryKind, string> = {
  notSaid: 'Not said',
  serviceable: 'Serviceable, with caps',
  sealed: 'Sealed',
  window: 'Sealed, with a window',
};

const WASH_WORDS: Record<DeckWash, string> = {
  notSaid: 'Not said',
  port: 'A wash port',
  none: 'No wash port',
};

/** How the machine is fitted, in words; what nobody said is left out. */
export function fittingsWords(fittings: ServiceFittings): string {
  const { oilDrain, oilFilter, fuelFilter, fuelBleed, airCleaner, battery, deckWash } = fittings;
  const said = [
    `Oil drain: ${DRAIN_WORDS[oilDrain]}.`,
    `Oil filter: ${FILTER_WORDS[oilFilter]}.`,
    `Fuel filter: ${FUEL_WORDS[fuelFilter]}.`,
    fuelBleed === 'notSaid' ? '' : `Fuel bled: ${BLEED_WORDS[fuelBleed]}.`,
    airCleaner === 'notSaid' ? '' : `Air cleaner: ${CLEANER_WORDS[airCleaner]}.`,
    battery === 'notSaid' ? '' : `Battery: ${BATTERY_WORDS[battery]}.`,
    deckWash === 'notSaid' ? '' : `Deck: ${WASH_WORDS[deckWash]}.`,
  ];
  return said.filter(Boolean).join(' ');
}

/** Says how the machine is fitted: the sheets of its jobs follow. */
export function FittingsEdit({
  fittings,
  fuel,
  onChange,
}: {
  fittings: ServiceFittings;
  fuel: MachineSetUp['fuel'];
  onChange: (fittings: ServiceFittings) => void;
}) {
  return (
    <fieldset style={{ border: 0, padding: 0, margin: '0 0 18px' }}>
      <legend style={{ fontWeight: 700, paddingBottom: 10 }}>How it is fitted</legend>
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
        {fuel === 'diesel' ? (
          <Choose
            fullWidth={false}
            sx={WIDE}
            label="Fuel is bled"
            value={fittings.fuelBleed}
            choices={choicesOf(BLEED_WORDS)}
            onChange={(fuelBleed) => onChange({ ...fittings, fuelBleed })}
          />
        ) : null}
        <Choose
          fullWidth={false}
          sx={WIDE}
          label="Air cleaner"
          value={fittings.airCleaner}
          choices={choicesOf(CLEANER_WORDS)}
          onChange={(airCleaner) => onChange({ ...fittings, airCleaner })}
        />
        <Choose
          fullWidth={false}
          sx={WIDE}
          label="Battery"
          value={fittings.battery}
          choices={choicesOf(BATTERY_WORDS)}
          onChange={(battery) => onChange({ ...fittings, battery })}
        />
        <Choose
          fullWidth={false}
          sx={WIDE}
          label="Deck"
          value={fittings.deckWash}
          choices={choicesOf(WASH_WORDS)}
          onChange={(deckWash) => onChange({ ...fittings, deckWash })}
        />
      </div>
    </fieldset>
  );
}
