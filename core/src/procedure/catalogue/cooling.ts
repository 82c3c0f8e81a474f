import { fluidNeed, underHood } from '../machineSetUp.js';
import type { MachineSetUp } from '../machineSetUp.js';
import { workOn } from '../procedure.js';
import type { Procedure } from '../procedure.js';
import { step } from '../step.js';

/** What the air goes through, by what it cools. */
const COOLED_BY: Record<MachineSetUp['cooling'], string> = {
  air: 'screen and cooling fins',
  liquid: 'screen and radiator',
};

export const COOLING: Procedure = {
  key: 'cooling',
  name: 'Cooling: fins and screen',
  does: workOn(['inspect', 'clean'], 'radiatorScreen', 'coolingFins'),
  steps: ({ cooling }) => [
    step('blow', 'cleanDown', `Blow ${COOLED_BY[cooling]} out, against the way the air goes.`, 4, {
      needs: [],
      cautions: ['compressedAir'],
      tools: ['blower', 'goggles'],
    }),
  ],
};

export const HOSES: Procedure = {
  key: 'hoses',
  name: 'Hoses and clamps: look over',
  does: workOn(['inspect'], 'radiatorHoses', 'intakeHoses'),
  steps: (setUp) => [
    step(
      'look',
      'whileItDrains',
      'Feel along every hose, engine off and cold. Half a turn on each clamp a year.',
      8,
      {
        needs: underHood(setUp),
        look: 'hose',
        tools: ['screwdriver', 'torch'],
        cautions: ['hotCoolant'],
      },
    ),
  ],
};

export const HYDRAULIC_HOSES: Procedure = {
  key: 'hydraulicHoses',
  name: 'Hydraulic hoses and cylinders: look over',
  does: workOn(['inspect'], 'hydraulicHoses', 'loaderHydraulics'),
  steps: () => [
    step(
      'look',
      'whileItDrains',
      'Look along every hose and cylinder, engine off, nothing raised. Never feel for a leak with the hand: use a card.',
      8,
      { look: 'hose', tools: ['card', 'torch'], cautions: ['hydraulicPressure'] },
    ),
  ],
};

export const HOSES_REPLACE: Procedure = {
  key: 'hosesReplace',
  name: 'Radiator hoses: replace',
  does: workOn(['replace'], 'radiatorHoses'),
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
  does: workOn(['replace'], 'coolant'),
  covers: ['coolantLevel'],
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
        vessel: 'pan',
        drains: fluidNeed(setUp, 'coolant', false),
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
        fills: fluidNeed(setUp, 'coolant', false),
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
