import { fluidNeed, underHood } from '../machineSetUp.js';
import type { Procedure } from '../procedure.js';
import { step } from '../step.js';

export const COOLING: Procedure = {
  key: 'cooling',
  name: 'Cooling: fins, screen, level',
  actions: ['inspect', 'clean'],
  component: /cooling|fins|radiator screen/i,
  steps: (setUp) => [
    step('blow', 'cleanDown', 'Blow screen, fins and radiator out, against the way the air goes.', 4, {
      needs: [],
      cautions: ['compressedAir'],
      tools: ['blower', 'goggles'],
    }),
    ...(setUp.cooling === 'liquid'
      ? [
          step('level', 'makeSafe', 'Read the coolant at the reservoir, the engine cold.', 1, {
            cautions: ['hotCoolant'],
          }),
        ]
      : []),
  ],
};

export const HOSES: Procedure = {
  key: 'hoses',
  name: 'Hoses and clamps: look over',
  actions: ['inspect'],
  component: /hoses|hydraulics/i,
  steps: (setUp, { component }) => [
    step(
      'look',
      'whileItDrains',
      'Feel along every hose, engine off and cold. Half a turn on each clamp a year.',
      8,
      {
        needs: underHood(setUp),
        look: 'hose',
        tools: ['screwdriver', 'torch'],
        cautions: /hydraulic/i.test(component) ? ['hydraulicPressure'] : ['hotCoolant'],
      },
    ),
  ],
};

export const HOSES_REPLACE: Procedure = {
  key: 'hosesReplace',
  name: 'Radiator hoses: replace',
  actions: ['replace'],
  component: /hoses/i,
  covers: ['hoses'],
  steps: () => [
    step(
      'change',
      'whileItDrains',
      'Coolant below the hoses. Cut the old ones off, new ones with new clamps, ends pushed home.',
      25,
      {
        needs: ['safe', 'hoodOff', 'cool'],
        cautions: ['hotCoolant'],
        tools: ['knife', 'screwdriver', 'new clamps'],
      },
    ),
    step('leaks', 'leakCheck', 'Look at every clamp, the engine warm.', 3, { cautions: ['hotCoolant'] }),
  ],
};

export const COOLANT_CHANGE: Procedure = {
  key: 'coolantChange',
  name: 'Coolant: change',
  actions: ['replace'],
  component: /^coolant/i,
  steps: (setUp) => [
    step(
      'drain',
      'startDraining',
      'Cold engine. Cap off to the first stop, then open the drain of the radiator and of the block.',
      5,
      {
        needs: ['safe', 'hoodOff', 'cool'],
        cautions: ['hotCoolant'],
        handsOff: 12,
        wait: 'draining',
        fluid: 'coolant',
        tools: ['drain pan'],
        drains: fluidNeed(setUp, /coolant/i, false),
      },
    ),
    step(
      'fill',
      'firstPour',
      'Close the drains. Fill slowly with the mixture the book names, until no bubbles rise.',
      6,
      {
        needs: ['safe', 'hoodOff'],
        fluid: 'coolant',
        fills: fluidNeed(setUp, /coolant/i, false),
        tools: ['funnel'],
      },
    ),
    step('level', 'topUp', 'After the run, cold again: read the level at the reservoir and top up.', 3, {
      fluid: 'coolant',
      cautions: ['hotCoolant'],
    }),
    step(
      'waste',
      'finish',
      'Coolant into its own container: it poisons animals, and never goes in with the oil.',
      2,
      { needs: [] },
    ),
  ],
};
