import { USUAL_CHARGING } from '../../checks/battery.js';
import { USUAL_EQUAL_WITHIN } from '../../checks/freePlay.js';
import { torqueFigures, underHood } from '../machineSetUp.js';
import type { MachineSetUp, MachineSpec } from '../machineSetUp.js';
import type { Procedure } from '../procedure.js';
import { step } from '../step.js';
import type { Measurement, Step } from '../step.js';

function playOf({ spec }: MachineSetUp, name: RegExp) {
  return spec.plays.find((play) => name.test(play.name)) ?? null;
}

function freePlayOf({
  name: label,
  low,
  high,
  equalWithin = null,
}: MachineSpec['plays'][number]): Measurement {
  return {
    kind: 'freePlay',
    label,
    low,
    high,
    equalWithin: equalWithin ?? USUAL_EQUAL_WITHIN,
    isUsual: equalWithin === null,
  };
}

function chargingOf({ spec }: MachineSetUp): Measurement {
  const card = spec.charging[0];
  const { low, high } = card ?? USUAL_CHARGING;
  // A card that gives no figure for idle leaves the usual one, but never more than it asks at working speed.
  const idleLow = card?.idleLow ?? Math.min(low, USUAL_CHARGING.idleLow);
  return { kind: 'charging', label: 'Charging voltage', low, high, idleLow, isUsual: !card };
}

export const BELTS: Procedure = {
  key: 'belts',
  name: 'Belts: look over',
  actions: ['inspect', 'adjust'],
  component: /belt/i,
  steps(setUp) {
    const play = playOf(setUp, /belt/i);
    const measurement: Measurement | null = play && {
      kind: 'range',
      label: play.name,
      dimension: 'length',
      low: play.low,
      high: play.high,
    };
    return [
      step(
        'look',
        'whileItDrains',
        'Turn each belt and look for cracks, glazing and frayed edges. Spin the idlers.',
        4,
        {
          needs: underHood(setUp),
          look: 'belt',
          tools: ['torch'],
        },
      ),
      step(
        'deflection',
        'whileItDrains',
        'Press with the thumb half way between the pulleys and measure how far it gives.',
        2,
        {
          needs: underHood(setUp),
          measurement,
          tools: ['rule'],
        },
      ),
    ];
  },
};

export const BATTERY: Procedure = {
  key: 'battery',
  name: 'Battery: test',
  actions: ['inspect'],
  component: /battery/i,
  steps: (setUp) => [
    step('rest', 'whileItDrains', 'Measure the voltage at rest, some hours after the last run.', 2, {
      needs: underHood(setUp),
      tools: ['multimeter'],
      measurement: { kind: 'battery', label: 'Rest voltage' },
    }),
    step(
      'charging',
      'functionChecks',
      'Measure the voltage at the battery with the engine at working speed, then at idle.',
      2,
      {
        needs: [],
        cautions: ['exhaust'],
        tools: ['multimeter'],
        measurement: chargingOf(setUp),
      },
    ),
  ],
};

export const BATTERY_CHARGE: Procedure = {
  key: 'batteryCharge',
  name: 'Battery: charge',
  actions: ['charge'],
  component: /battery/i,
  steps: () => [
    step(
      'rest',
      'whileItDrains',
      'Measure the rest voltage. Below 12.4 V it is charged; a flat one freezes.',
      2,
      {
        tools: ['multimeter'],
        measurement: { kind: 'battery', label: 'Rest voltage' },
      },
    ),
    step('charge', 'whileItDrains', 'Charge indoors at 2 A or less, with air around it.', 3, {
      cautions: ['batteryOrder'],
      tools: ['charger, 2 A'],
    }),
  ],
};

export const BATTERY_CLEAN: Procedure = {
  key: 'batteryClean',
  name: 'Battery and terminals: clean',
  actions: ['clean'],
  component: /battery|terminal/i,
  steps: () => [
    step(
      'clean',
      'whileItDrains',
      'Brush top, posts and clamps; a thin film of grease or spray when they are tight again. Water in a serviceable battery.',
      6,
      {
        needs: ['safe', 'batteryOut'],
        cautions: ['batteryOrder'],
        tools: ['terminal brush', 'gloves and goggles'],
      },
    ),
    step('rest', 'whileItDrains', 'Measure the rest voltage.', 2, {
      needs: ['safe', 'batteryOut'],
      tools: ['multimeter'],
      measurement: { kind: 'battery', label: 'Rest voltage' },
    }),
  ],
};

export const FREE_PLAY: Procedure = {
  key: 'freePlay',
  name: 'Brake free play',
  actions: ['inspect', 'adjust'],
  component: /brakes?( |$|,)/i,
  steps(setUp) {
    const play = playOf(setUp, /pedal|brake/i);
    return [
      step(
        'measure',
        'whileItDrains',
        'Press each pedal until it begins to brake, and measure the way, left and right.',
        5,
        {
          cautions: ['brakes'],
          tools: ['rule'],
          measurement: play && freePlayOf(play),
        },
      ),
      step('try', 'functionChecks', 'Drive a few yards and brake: it stops straight.', 2, {
        needs: [],
        cautions: ['brakes'],
      }),
    ];
  },
};

function tyreSteps({ spec }: MachineSetUp, component: string): Step[] {
  const wanted = spec.tyres.filter(({ axle }) => !/rear/i.test(component) || axle === 'rear');
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
      `Measure both ${axle} tyres cold; the same on both sides, or the cut is not level.`,
      3,
      {
        ...common,
        after: [],
        measurement: { kind: 'tyres', label: `Pressure, ${axle} pair`, low, high, sidewallMaximum },
      },
    ),
  );
}

export const TYRES: Procedure = {
  key: 'tyres',
  name: 'Tyre pressures',
  actions: ['inspect', 'adjust'],
  component: /tyres?|^wheels$/i,
  steps: (setUp, { component }) => tyreSteps(setUp, component),
};

export const BOLTS: Procedure = {
  key: 'bolts',
  name: 'Bolts: to torque',
  actions: ['tighten'],
  component: /bolts?|nuts?/i,
  alsoNamed: /wheel (bolts|nuts)/i,
  steps: (setUp, { component, name }) => [
    step(
      'torque',
      'whileItDrains',
      'Crosswise, with the torque wrench; front and rear differ. Count how many moved: that number decides the next interval.',
      8,
      {
        tools: ['torque wrench', 'sockets'],
        rule: 'torque',
        measurement: { kind: 'bolts', label: 'Loose bolts' },
        figures: torqueFigures(setUp, /loader/i.test(`${component} ${name}`) ? /loader/i : /wheel/i),
      },
    ),
  ],
};

export const SAFETY_START: Procedure = {
  key: 'safetyStart',
  name: 'Safety-start switches',
  actions: ['inspect'],
  component: /safety.?start|walk.?round/i,
  alsoNamed: /safety.?start/i,
  steps: () => [
    step(
      'try',
      'functionChecks',
      'It must start only with pedals free, blades or PTO off and brake on; and stop when the driver leaves the seat with blades on.',
      4,
      {
        needs: [],
        cautions: ['machineMoves'],
      },
    ),
  ],
};

export const VALVES: Procedure = {
  key: 'valves',
  name: 'Valve clearance',
  actions: ['adjust', 'inspect'],
  component: /valves?/i,
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
