import { USUAL_EQUAL_WITHIN } from '../../check/freePlay.js';
import type { Component } from '../../component/components.js';
import { cardName, playsOf, torqueFigures, underHood } from '../machineSetUp.js';
import type { CardPlay, MachineSetUp } from '../machineSetUp.js';
import { workOn } from '../procedure.js';
import type { Procedure } from '../procedure.js';
import { step } from '../step.js';
import type { Measurement } from '../../measurement/measurement.js';
import type { Step } from '../step.js';

function freePlayOf({ name, component, low, high, equalWithin = null }: CardPlay): Measurement {
  return {
    kind: 'freePlay',
    label: cardName(name, component),
    low,
    high,
    equalWithin: equalWithin ?? USUAL_EQUAL_WITHIN,
    isUsual: equalWithin === null,
  };
}

const BELT_KINDS = ['fanBelt', 'driveBelt', 'deckBelt'] as const;

/** How a belt is set where it gives too much or too little. */
function beltSetBy(component: Component | null | undefined): string {
  if (component === 'fanBelt')
    return 'Loosen the bolts of the alternator, lever it outward by its strong end, tighten, and measure again.';
  if (component === 'deckBelt') return 'Set the spring or the rod of the idler, lock it, and measure again.';
  return 'Set the tensioner or the rod of the idler, lock it, and measure again.';
}

function deflectionOf({ name, component, low, high }: CardPlay): Measurement {
  return { kind: 'range', label: cardName(name, component), dimension: 'length', low, high };
}

/** Where a belt is looked at: under the hood, or, for that of a deck, with the deck down, where it is as tight as it works. */
function beltPlace(setUp: MachineSetUp, component: Component | null | undefined) {
  return component === 'deckBelt'
    ? ({ phase: 'onTheGround', needs: [], words: 'Key still out, deck at its lowest. ' } as const)
    : ({ phase: 'whileItDrains', needs: underHood(setUp), words: '' } as const);
}

export const BELTS: Procedure = {
  key: 'belts',
  name: 'Belts: look over',
  does: workOn(['inspect', 'adjust'], 'belts', ...BELT_KINDS),
  steps(setUp, { components }) {
    const asked = components.includes('belts') ? ['belts' as const, ...BELT_KINDS] : components;
    const plays = playsOf(setUp, ...asked);
    const isOfDeckAlone = components.every((component) => component === 'deckBelt');
    const deflection = (id: string, play: CardPlay | null) => {
      const { phase, needs, words } = beltPlace(
        setUp,
        play ? play.component : isOfDeckAlone ? 'deckBelt' : null,
      );
      return step(
        id,
        phase,
        `${words}Press with the thumb half way between the pulleys and measure how far it gives.`,
        2,
        {
          needs,
          measurement: play && deflectionOf(play),
          setBy: play && beltSetBy(play.component),
          tools: ['rule'],
        },
      );
    };
    const { phase, needs, words } = beltPlace(setUp, isOfDeckAlone ? 'deckBelt' : null);
    return [
      step(
        'look',
        phase,
        `${words}Turn each belt and look for cracks, glazing and frayed edges. Spin the idlers.`,
        4,
        { needs, look: 'belt', tools: ['torch'] },
      ),
      ...(plays.length
        ? plays.map((play, index) => deflection(index === 0 ? 'deflection' : `deflection${index + 1}`, play))
        : [deflection('deflection', null)]),
    ];
  },
};

export const FREE_PLAY: Procedure = {
  key: 'freePlay',
  name: 'Brake free play',
  does: workOn(['inspect', 'adjust'], 'brakePedals'),
  steps(setUp) {
    const [play] = playsOf(setUp, 'brakePedals');
    return [
      step(
        'measure',
        'whileItDrains',
        'Press each pedal until it begins to brake, and measure the way, left and right.',
        5,
        {
          cautions: ['brakes'],
          tools: ['rule'],
          measurement: play ? freePlayOf(play) : null,
          setBy:
            'Loosen the lock nut at the clevis of the side that is out, turn it a turn at a time, and count the turns into the note. Lock it, and measure both again.',
        },
      ),
      step('try', 'functionChecks', 'Drive a few yards and brake: it stops straight.', 2, {
        needs: [],
        cautions: ['brakes'],
      }),
    ];
  },
};

const AXLE_TYRES = { front: 'frontTyres', rear: 'rearTyres' } as const;

/** What comes of two tyres that differ, by what the machine does. */
const UNEQUAL: Record<MachineSetUp['machineClass'], string> = {
  ridingMower: 'or the cut is not level',
  zeroTurn: 'or the cut is not level',
  compactTractor: 'or it pulls to one side',
  utilityVehicle: 'or it pulls to one side',
};

function tyreSteps({ spec, machineClass }: MachineSetUp, components: readonly Component[]): Step[] {
  const isAsked = (axle: 'front' | 'rear') =>
    components.includes('tyres') || components.includes(AXLE_TYRES[axle]);
  const wanted = spec.tyres.filter(({ axle }) => isAsked(axle));
  const common = {
    cautions: ['tyreBursts'],
    tools: ['tyre gauge', 'pump or compressor'],
    look: 'tyre',
  } as const;
  if (wanted.length === 0)
    return [
      step(
        'pressure',
        'whileItDrains',
        'Bring both tyres of each axle to the same pressure, below the sidewall figure.',
        4,
        common,
      ),
    ];
  return wanted.map(({ axle, low, high, sidewallMaximum }) =>
    step(
      axle,
      'whileItDrains',
      `Measure both ${axle} tyres cold; the same on both sides, ${UNEQUAL[machineClass]}.`,
      3,
      {
        ...common,
        after: [],
        measurement: { kind: 'tyres', label: `Pressure, ${axle} pair`, low, high, sidewallMaximum },
        setBy:
          'Pump up or let out air a little at a time, never above the sidewall figure, and measure both again.',
      },
    ),
  );
}

export const TYRES: Procedure = {
  key: 'tyres',
  name: 'Tyre pressures',
  does: workOn(['inspect', 'adjust'], 'tyres', 'frontTyres', 'rearTyres'),
  steps: (setUp, { components }) => tyreSteps(setUp, components),
};

/** Tightens one kind of fastener to the figures that the card gives for it. */
function bolts(key: string, name: string, component: Component, words: string): Procedure {
  return {
    key,
    name,
    does: workOn(['tighten', 'inspect'], component),
    steps: (setUp) => [
      step(
        'torque',
        'whileItDrains',
        `${words} Count how many moved: that number decides the next interval.`,
        8,
        {
          tools: ['torque wrench', 'sockets'],
          rule: 'torque',
          measurement: { kind: 'bolts', label: 'Loose bolts' },
          figures: torqueFigures(setUp, component),
        },
      ),
    ],
  };
}

export const WHEEL_NUTS = bolts(
  'wheelNuts',
  'Wheel nuts and bolts: to torque',
  'wheelNuts',
  'Wheels: crosswise; front and rear differ.',
);

export const LOADER_BOLTS = bolts(
  'loaderBolts',
  'Loader bolts: to torque',
  'loaderBolts',
  'Loader: both sides; front and rear differ.',
);

export const FRAME_BOLTS = bolts(
  'frameBolts',
  'Frame bolts: to torque',
  'frameBolts',
  'Frame: go round it, and look at the welds.',
);

export const SAFETY_START: Procedure = {
  key: 'safetyStart',
  name: 'Safety-start switches',
  does: workOn(['inspect'], 'safetyStart', 'wholeMachine'),
  steps: () => [
    step(
      'try',
      'functionChecks',
      'It must start only with pedals free, blades or PTO off and brake on; and stop when the driver leaves the seat with blades on.',
      4,
      {
        needs: [],
        cautions: ['machineRuns'],
      },
    ),
  ],
};

export const VALVES: Procedure = {
  key: 'valves',
  name: 'Valve clearance',
  does: workOn(['adjust', 'inspect'], 'valves'),
  steps: () => [
    step(
      'set',
      'whileItDrains',
      'Measure and set the clearance by the figures of the engine book, or have it done.',
      50,
      {
        needs: ['safe', 'cool'],
        cautions: ['valves', 'hotEngine'],
        tools: ['feeler gauge', 'new cover gasket'],
      },
    ),
  ],
};
