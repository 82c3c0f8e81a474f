import { USUAL_DECK, USUAL_TIPS_WITHIN } from '../../check/deckLevel.js';
import { torqueFigures } from '../machineSetUp.js';
import type { MachineSetUp } from '../machineSetUp.js';
import { workOn } from '../procedure.js';
import type { Procedure } from '../procedure.js';
import { step } from '../step.js';
import type { Step } from '../step.js';
import type { Measurement } from '../../measurement/measurement.js';

/** How the deck is to hang: by the card of the machine, else as usual. */
function levelOf({ spec }: MachineSetUp): Measurement {
  const deck = spec.decks[0];
  const { sidewaysWithin, low, high } = deck ?? USUAL_DECK;
  return { kind: 'deck', label: 'Height of the tips', sidewaysWithin, low, high, isUsual: !deck };
}

function tipsOf({ spec }: MachineSetUp): Measurement {
  const within = spec.decks[0]?.tipsWithin ?? null;
  return {
    kind: 'bladeTips',
    label: 'Tips of the worst blade',
    within: within ?? USUAL_TIPS_WITHIN,
    isUsual: within === null,
  };
}

export const DECK_CLEAN: Procedure = {
  key: 'deckClean',
  name: 'Deck: clean',
  does: workOn(['clean'], 'deck'),
  steps: ({ fittings }) => [
    step('above', 'cleanDown', 'Blow the top of the deck clean, also under the belt guards.', 4, {
      tools: ['blower', 'goggles'],
      cautions: ['compressedAir'],
      needs: [],
    }),
    step('below', 'whileItDrains', 'Scrape the deck out below; look for cracks in the shell.', 8, {
      needs: ['safe', 'deckRaised'],
      cautions: ['raisedDeck', 'blades'],
      tools: ['scraper', 'gloves'],
    }),
    ...(fittings.deckWash === 'port'
      ? [
          step(
            'wash',
            'functionChecks',
            'Hose on the wash port, deck at its lowest, nobody near. From the seat: engine on, blades on, a few minutes; then water off, and the blades on for a minute more, so that it dries.',
            5,
            { needs: [], cautions: ['bladesTurn'], tools: ['water hose'] },
          ),
        ]
      : []),
  ],
};

const BLOCKED = { needs: ['safe', 'deckRaised'], cautions: ['blades'] } as const;

/** What a look at the blades is: edge and sails, straightness, and the spindles that they turn on. */
function bladeLook(setUp: MachineSetUp): Step[] {
  return [
    step(
      'look',
      'whileItDrains',
      'Pull the plug caps. Block the blades and look at edge, sail tips and bolts.',
      4,
      {
        needs: ['safe', 'deckRaised'],
        cautions: ['blades', 'raisedDeck'],
        look: 'blade',
        tools: ['gloves', 'block of wood'],
      },
    ),
    step('tips', 'whileItDrains', 'Measure both tips of a blade at the same place.', 3, {
      ...BLOCKED,
      tools: ['rule'],
      measurement: tipsOf(setUp),
    }),
    step('spindle', 'whileItDrains', 'Rock each spindle.', 2, { ...BLOCKED, look: 'spindle' }),
  ];
}

function refit(setUp: MachineSetUp, text: string): Step {
  return step('refit', 'whileItDrains', text, 6, {
    ...BLOCKED,
    tools: ['torque wrench', 'blade wrench'],
    rule: 'torque',
    figures: torqueFigures(setUp, 'bladeBolts'),
  });
}

const REFIT = 'Sail tips up, centre star seated, bolts to their figure. Plug caps back on.';

export const BLADES: Procedure = {
  key: 'blades',
  name: 'Blades',
  does: workOn(['sharpen', 'replace', 'inspect'], 'blades'),
  steps(setUp, { actions }) {
    const look = bladeLook(setUp);
    if (actions.includes('replace')) {
      return [
        ...look,
        step(
          'off',
          'whileItDrains',
          'Take the old blades off. Hold a new one against an old: same length, same hole, same sail.',
          6,
          { ...BLOCKED, tools: ['blade wrench', 'gloves'] },
        ),
        refit(setUp, `New blades on. ${REFIT}`),
      ];
    }
    if (actions.includes('sharpen')) {
      return [
        ...look,
        step(
          'sharpen',
          'whileItDrains',
          'Take the blades off, grind to the old angle, and balance each on a cone.',
          12,
          { ...BLOCKED, tools: ['blade wrench', 'grinder or file', 'balancing cone', 'goggles'] },
        ),
        refit(setUp, REFIT),
      ];
    }
    return [...look, step('caps', 'whileItDrains', 'Block out, plug caps back on.', 1, BLOCKED)];
  },
};

export const SPINDLE_BRAKES: Procedure = {
  key: 'spindleBrakes',
  name: 'Deck spindle brakes',
  does: workOn(['inspect', 'adjust'], 'spindleBrakes'),
  steps: () => [
    step(
      'look',
      'whileItDrains',
      'Guards off. Look at the pad of each spindle brake, whether its arm turns freely on its pivot, and whether its spring pulls. A pad worn to its backing is replaced; its spring with it.',
      6,
      { ...BLOCKED, tools: ['torch', 'gloves'] },
    ),
    step(
      'stop',
      'functionChecks',
      'Blades on, then off: they stand still within five seconds, or what its book gives. If not, the machine does not go out.',
      2,
      { needs: [], cautions: ['bladesTurn', 'machineRuns'] },
    ),
  ],
};

export const DECK_IDLERS: Procedure = {
  key: 'deckIdlers',
  name: 'Deck idlers and pulleys',
  does: workOn(['inspect'], 'deckIdlers'),
  steps: () => [
    step(
      'spin',
      'whileItDrains',
      'Belt guards off. Spin each idler and pulley by hand: one that growls or rocks is replaced. Move the idler arm: it turns freely on its pivot, and its spring pulls it back.',
      6,
      { ...BLOCKED, tools: ['wrench for the guards', 'torch', 'gloves'] },
    ),
    step(
      'guards',
      'whileItDrains',
      'Guards back on before anything runs, every screw started before one is tight.',
      3,
      {
        ...BLOCKED,
        tools: ['wrench for the guards'],
      },
    ),
  ],
};

/** A deck is measured as it cuts: on its wheels, at their pressure, on level ground. */
export const DECK_LEVEL: Procedure = {
  key: 'deckLevel',
  name: 'Deck: level',
  does: workOn(['adjust'], 'deck'),
  steps: (setUp) => [
    step(
      'tyres',
      'whileItDrains',
      'Check that the tyres of each axle have the same pressure: a deck hangs on its wheels.',
      3,
      {
        cautions: ['tyreBursts'],
        tools: ['tyre gauge'],
      },
    ),
    step(
      'measure',
      'onTheGround',
      'Key still out, level ground, deck at cutting height. Turn the blades crosswise, then lengthwise, and measure the tips above the ground.',
      16,
      {
        needs: [],
        cautions: ['blades'],
        tools: ['gloves', 'rule', 'wrenches for the hangers'],
        measurement: levelOf(setUp),
        setBy:
          'Set the hangers of the side that hangs low, then those of the front, lock them, and measure all four again.',
      },
    ),
  ],
};
