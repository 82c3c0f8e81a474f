import { USUAL_DECK, USUAL_TIPS_WITHIN } from '../../check/deckLevel.js';
import { torqueFigures } from '../machineSetUp.js';
import type { MachineSetUp } from '../machineSetUp.js';
import { workOn } from '../procedure.js';
import type { Procedure } from '../procedure.js';
import { step } from '../step.js';
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
  steps: () => [
    step('above', 'cleanDown', 'Blow the top of the deck clean, also under the belt guards.', 4, {
      tools: ['blower'],
      needs: [],
    }),
    step('below', 'whileItDrains', 'Scrape the deck out below; look for cracks in the shell.', 8, {
      needs: ['safe', 'deckRaised'],
      cautions: ['raisedDeck', 'blades'],
      tools: ['scraper', 'gloves'],
    }),
  ],
};

export const BLADES: Procedure = {
  key: 'blades',
  name: 'Blades: sharpen and balance',
  does: workOn(['sharpen', 'replace', 'inspect'], 'blades'),
  steps: (setUp) => [
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
      needs: ['safe', 'deckRaised'],
      cautions: ['blades'],
      tools: ['rule'],
      measurement: tipsOf(setUp),
    }),
    step('spindle', 'whileItDrains', 'Rock each spindle.', 2, {
      needs: ['safe', 'deckRaised'],
      cautions: ['blades'],
      look: 'spindle',
    }),
    step(
      'sharpen',
      'whileItDrains',
      'Take the blades off, grind to the old angle, and balance each on a cone.',
      12,
      {
        needs: ['safe', 'deckRaised'],
        cautions: ['blades'],
        tools: ['blade wrench', 'grinder or file', 'balancing cone', 'goggles'],
      },
    ),
    step(
      'refit',
      'whileItDrains',
      'Sail tips up, centre star seated, bolts to their figure. Plug caps back on.',
      6,
      {
        needs: ['safe', 'deckRaised'],
        cautions: ['blades'],
        tools: ['torque wrench'],
        rule: 'torque',
        figures: torqueFigures(setUp, 'bladeBolts'),
      },
    ),
  ],
};

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
      'whileItDrains',
      'Turn the blades crosswise, then lengthwise, and measure the tips above the ground.',
      8,
      {
        cautions: ['blades'],
        tools: ['gloves', 'rule'],
        measurement: levelOf(setUp),
      },
    ),
    step('set', 'whileItDrains', 'Set the hangers, then measure again.', 8, {
      cautions: ['blades'],
      tools: ['wrenches for the hangers'],
    }),
  ],
};
