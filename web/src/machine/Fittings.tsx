import type { MachineSetUp, ServiceFittings } from '@yugator/core';
import { keysOf } from '@yugator/core';
import { Choose, choicesOf } from '../form/Choose.js';

const WIDE = { minWidth: 230 };

type Name = keyof ServiceFittings;

interface Fitting<N extends Name> {
  /** of its field */
  readonly label: string;
  /** before what was chosen, in a sentence */
  readonly said: string;
  readonly words: Readonly<Record<ServiceFittings[N], string>>;
  /** the only fuel that has it; left out, all have */
  readonly fuel?: MachineSetUp['fuel'];
}

const FITTINGS: { readonly [N in Name]: Fitting<N> } = {
  oilDrain: {
    label: 'The oil comes out by',
    said: 'Oil drain',
    words: {
      plug: 'One drain plug',
      twoPlugs: 'Two drain plugs',
      valve: 'A drain valve',
      hose: 'A drain hose',
      extractor: 'Extractor only',
      cartridge: 'A sealed oil cartridge',
    },
  },
  oilFilter: {
    label: 'Oil filter',
    said: 'Oil filter',
    words: {
      upright: 'Spin-on, hanging upright',
      sideways: 'Spin-on, on its side',
      element: 'An element in a housing',
      none: 'None',
    },
  },
  fuelFilter: {
    label: 'Fuel filter',
    said: 'Fuel filter',
    words: { inLine: 'In the line', bowl: 'A bowl', spinOn: 'Spin-on' },
  },
  fuelBleed: {
    label: 'Fuel is bled',
    said: 'Fuel bled',
    words: { notSaid: 'Not said', screw: 'At a bleed screw', self: 'By itself, in starting' },
    fuel: 'diesel',
  },
  airCleaner: {
    label: 'Air cleaner',
    said: 'Air cleaner',
    words: {
      notSaid: 'Not said',
      single: 'One element',
      twoStage: 'Two elements, one within the other',
    },
  },
  battery: {
    label: 'Battery',
    said: 'Battery',
    words: {
      notSaid: 'Not said',
      serviceable: 'Serviceable, with caps',
      sealed: 'Sealed',
      window: 'Sealed, with a window',
    },
  },
  deckWash: {
    label: 'Deck',
    said: 'Deck',
    words: { notSaid: 'Not said', port: 'A wash port', none: 'No wash port' },
  },
};

function wordsOf<N extends Name>(name: N, fittings: ServiceFittings): string {
  const chosen = fittings[name];
  return chosen === 'notSaid' ? '' : `${FITTINGS[name].said}: ${FITTINGS[name].words[chosen]}.`;
}

/** How the machine is fitted, in words; what nobody said is left out. */
export function fittingsWords(fittings: ServiceFittings): string {
  return keysOf(FITTINGS)
    .map((name) => wordsOf(name, fittings))
    .filter(Boolean)
    .join(' ');
}

interface Props {
  readonly fittings: ServiceFittings;
  readonly onChange: (fittings: ServiceFittings) => void;
}

function FittingPick<N extends Name>({ name, fittings, onChange }: Props & { readonly name: N }) {
  const { label, words } = FITTINGS[name];
  return (
    <Choose<ServiceFittings[N]>
      fullWidth={false}
      sx={WIDE}
      label={label}
      value={fittings[name]}
      choices={choicesOf(words)}
      onChange={(chosen) => onChange({ ...fittings, [name]: chosen })}
    />
  );
}

/** Says how the machine is fitted: the sheets of its jobs follow. */
export function FittingsEdit({
  fuel,
  ...picks
}: Props & {
  readonly fuel: MachineSetUp['fuel'];
}) {
  return (
    <fieldset style={{ border: 0, padding: 0, margin: '0 0 18px' }}>
      <legend style={{ fontWeight: 700, paddingBottom: 10 }}>How it is fitted</legend>
      <div style={{ display: 'flex', flexWrap: 'wrap', gap: 12 }}>
        {keysOf(FITTINGS)
          .filter((name) => (FITTINGS[name].fuel ?? fuel) === fuel)
          .map((name) => (
            <FittingPick key={name} name={name} {...picks} />
          ))}
      </div>
    </fieldset>
  );
}
