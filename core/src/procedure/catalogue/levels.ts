import type { Component } from '../../component/components.js';
import { componentSpec } from '../../component/components.js';
import type { LookKey } from '../../check/looks.js';
import type { CautionKey } from '../caution.js';
import { isReadWarm, READING_WORDS, readingWords } from '../levelReading.js';
import type { MachineSetUp } from '../machineSetUp.js';
import { cardName, levelNeed, startWords, underHood } from '../machineSetUp.js';
import { workOn } from '../procedure.js';
import type { Procedure } from '../procedure.js';
import { step } from '../step.js';
import type { Step } from '../step.js';

/** How a level is read where the card does not say. Common practice. */
interface UsualLevel {
  readonly fluid: Component;
  /** how the machine stands for it */
  readonly stands: string;
  readonly reads: string;
  /** what follows from it besides what the look says */
  readonly then: string;
  readonly look: LookKey;
  readonly cautions?: readonly CautionKey[];
  readonly tools?: readonly string[];
  /** whether it stands under the hood of a tractor */
  readonly isUnderHood?: boolean;
}

const LEVEL_GROUND = 'level ground';
const ALL_DOWN = 'level ground, attachments and bed down';
const OF_A_PLUG = {
  stands: LEVEL_GROUND,
  reads: READING_WORDS.levelPlug,
  then: 'Top up through it until it runs out, and close it.',
  tools: ['wrench for the level plug', 'funnel', 'rags'],
} as const;

function warmRun(setUp: MachineSetUp): Step {
  return step(
    'run',
    'run',
    `${startWords(setUp)}Run it until it is warm to the hand, then stop the engine.`,
    1,
    { handsOff: 6, wait: 'warming', shared: 'warmRun', cautions: ['exhaust'], needs: [] },
  );
}

/** Cold, before anything runs, or after the run for what its card wants read warm. */
function levelOf({
  fluid,
  stands,
  reads,
  then,
  look,
  cautions = [],
  tools = ['rags'],
  isUnderHood = false,
}: UsualLevel): Procedure {
  const { words } = componentSpec(fluid);
  const steps = (setUp: MachineSetUp) => {
    const isWarm = isReadWarm(setUp.spec, fluid);
    // What stands under the hood of a tractor is read where nothing else has to be opened.
    const hood = isUnderHood && underHood(setUp).includes('hoodOff') ? 'Hood open. ' : '';
    const when = `${hood}${isWarm ? 'After the run, engine off' : 'Before the engine runs, cold'}`;
    return [
      ...(isWarm ? [warmRun(setUp)] : []),
      step(
        'level',
        isWarm ? 'topUp' : 'lookOver',
        `${when}, ${stands}: ${words}. ${readingWords(setUp.spec, fluid, reads)} ${then}`,
        3,
        { needs: [], look, cautions, tools, reads: levelNeed(setUp, fluid) },
      ),
    ];
  };
  return {
    key: `${fluid}Level`,
    name: `${cardName('', fluid)}: level`,
    does: workOn(['inspect'], fluid),
    steps,
  };
}

const ADD = 'Add in small amounts; never over the mark.';

export const ENGINE_OIL_LEVEL = levelOf({
  fluid: 'engineOil',
  stands: LEVEL_GROUND,
  reads: 'Wipe the dipstick and read it as this machine wants it, screwed in or resting on the threads.',
  then: ADD,
  look: 'engineOil',
});

export const TRANSMISSION_LEVEL = levelOf({
  fluid: 'transmissionOil',
  stands: ALL_DOWN,
  reads: 'Wipe the dipstick and read it, or the sight glass.',
  then: ADD,
  look: 'hydraulicOil',
  cautions: ['hydraulicPressure'],
});

export const HYDRAULIC_LEVEL = levelOf({
  fluid: 'hydraulicOil',
  stands: ALL_DOWN,
  reads: 'Wipe the dipstick and read it, or the sight glass.',
  then: ADD,
  look: 'hydraulicOil',
  cautions: ['hydraulicPressure'],
});

export const HYDRO_LEVEL = levelOf({
  fluid: 'hydroOil',
  stands: LEVEL_GROUND,
  reads: 'Read the expansion tank at its cold mark.',
  then: 'Clean round the cap before it comes off. Add in small amounts: it rises as it warms.',
  look: 'hydraulicOil',
});

export const TRANSAXLE_LEVEL = levelOf({ ...OF_A_PLUG, fluid: 'transaxleOil', look: 'gearOil' });
export const FRONT_AXLE_LEVEL = levelOf({ ...OF_A_PLUG, fluid: 'frontAxleOil', look: 'gearOil' });
export const FRONT_DIFFERENTIAL_LEVEL = levelOf({
  ...OF_A_PLUG,
  fluid: 'frontDifferentialOil',
  look: 'gearOil',
});
export const GEARBOX_LEVEL = levelOf({ ...OF_A_PLUG, fluid: 'gearboxOil', look: 'gearOil' });

export const STEERING_LEVEL = levelOf({
  fluid: 'steeringFluid',
  stands: LEVEL_GROUND,
  reads: READING_WORDS.reservoir,
  then: 'What is missing has leaked: look along its hoses.',
  look: 'hydraulicOil',
});

export const BRAKE_FLUID_LEVEL = levelOf({
  fluid: 'brakeFluid',
  stands: LEVEL_GROUND,
  reads: READING_WORDS.reservoir,
  then: 'It sinks as pads wear, fast only where it leaks: find out why before you top up, from a sealed can of the class on the cap (49 CFR 571.116), never oil.',
  look: 'brakeFluid',
  cautions: ['brakes'],
  tools: ['rags', 'brake fluid from a sealed can'],
});

export const COOLANT_LEVEL = levelOf({
  fluid: 'coolant',
  stands: LEVEL_GROUND,
  reads: 'Read the coolant at the reservoir. Never open a hot cap.',
  then: 'Top up with the mixture the book names, never with water alone.',
  look: 'coolant',
  cautions: ['hotCoolant'],
  tools: [],
  isUnderHood: true,
});
