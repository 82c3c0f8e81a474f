import { startWords, toolsFor, torqueFigures } from '../machineSetUp.js';
import type { MachineSetUp } from '../machineSetUp.js';
import { workOn } from '../procedure.js';
import type { Procedure } from '../procedure.js';
import { step } from '../step.js';
import type { Step } from '../step.js';

/** Under the hood of a tractor; within reach elsewhere. What else is in the way, the card says. */
function reach({ machineClass }: MachineSetUp) {
  return machineClass === 'compactTractor' ? (['safe', 'hoodOff'] as const) : (['safe', 'cool'] as const);
}

/**
 * How the air gets out of the fuel of a diesel, as its card says it. What bleeds itself does so in starting: that waits until all
 * oils are in and the machine is closed.
 */
function bleedStep(setUp: MachineSetUp): Step {
  if (setUp.fittings.fuelBleed === 'self')
    return step(
      'bleed',
      'run',
      `Fuel tap open, key on for half a minute so that the pump fills the line. ${startWords(setUp)}It bleeds itself and may cough at first.`,
      3,
      { needs: [], cautions: ['exhaust', 'dieselInjection'] },
    );
  const other =
    setUp.fittings.fuelBleed === 'screw' ? '' : ' One that has no screw bleeds itself in starting.';
  return step(
    'bleed',
    'whileItDrains',
    `Open the bleed screw, pump until fuel comes without bubbles, and close it.${other}`,
    5,
    {
      needs: reach(setUp),
      cautions: ['dieselInjection', 'fuel'],
      tools: ['wrench for the bleed screw'],
    },
  );
}

/** A pump puts more on a joint than the tank does. */
function runningLeaks(where: 'filter' | 'bowl'): Step {
  return step('leaks', 'leakCheck', `Run the engine, look for drips at the fuel ${where}, and stop it.`, 2, {
    needs: [],
    cautions: ['fuel', 'exhaust'],
  });
}

export const FUEL_FILTER_REPLACE: Procedure = {
  key: 'fuelFilterReplace',
  name: 'Fuel filter: replace',
  does: workOn(['replace'], 'fuelFilter'),
  covers: ['fuelFilterClean'],
  steps(setUp) {
    const needs = reach(setUp);
    const isInLine = setUp.fittings.fuelFilter === 'inLine';
    return [
      step('close', 'whileItDrains', 'Tank less than half full. Close the fuel tap, or clamp the hose.', 2, {
        needs,
        cautions: ['fuel'],
        tools: ['hose clamp pliers', 'small pan'],
      }),
      step(
        'change',
        'whileItDrains',
        isInLine
          ? 'Loosen the clamps, twist the hoses off, never pull. New filter with its arrow from the tank to the engine; clamps back. Open the tap and look for drips.'
          : 'Catch the fuel. Change the element with a new seal, oiled with fuel. Open the tap and look for drips.',
        5,
        { needs, look: 'fuelFilter', cautions: ['fuel'], tools: ['pliers', 'rags'] },
      ),
      ...(setUp.fuel === 'diesel' ? [bleedStep(setUp)] : []),
      runningLeaks('filter'),
    ];
  },
};

export const FUEL_FILTER_CLEAN: Procedure = {
  key: 'fuelFilterClean',
  name: 'Fuel filter: clean, bleed',
  does: workOn(['clean'], 'fuelFilter'),
  steps: (setUp) => [
    step(
      'bowl',
      'whileItDrains',
      'Tank less than half full. Close the tap; some close only once the bowl is off. Turn it off over a pan and look into it: water lies below the fuel, and is let out. Rinse bowl and screen in clean diesel.',
      6,
      {
        needs: reach(setUp),
        look: 'fuelFilter',
        cautions: ['fuel'],
        tools: ['small pan', 'rags'],
      },
    ),
    step(
      'refit',
      'whileItDrains',
      'Bowl back with a new seal, by hand. Open the tap and look for drips.',
      1,
      {
        needs: reach(setUp),
        cautions: ['fuel'],
      },
    ),
    bleedStep(setUp),
    runningLeaks('bowl'),
  ],
};

function gapOf({ spec }: MachineSetUp) {
  const gap = spec.plugs[0]?.gap;
  if (gap === undefined) return null;
  const label = 'Gap';
  return {
    kind: 'range',
    label,
    dimension: 'length',
    low: gap - GAP_TOLERANCE_MM,
    high: gap + GAP_TOLERANCE_MM,
  } as const;
}

/** A feeler gauge goes in steps of about this. */
const GAP_TOLERANCE_MM = 0.03;
const PLUG_TOOLS = ['deep plug socket with rubber insert', 'feeler gauge'];

const WHEN_TO_REPLACE: Record<MachineSetUp['rules']['plugs'], string> = {
  yearly: 'They are replaced every year, whatever they look like.',
  hours: 'They are replaced by their hours, whatever they look like.',
  condition: 'One that looks good gets its gap set and goes back: settle the item as kept.',
};

function plugsOut(setUp: MachineSetUp, rule = '') {
  return step(
    'out',
    'whileItDrains',
    `Blow out the wells, pull the caps, and turn the plugs out. Keep them in order. ${rule}`.trim(),
    5,
    {
      needs: ['safe', 'cool'],
      cautions: ['hotEngine', 'compressedAir'],
      look: 'sparkPlug',
      rule: 'plugs',
      tools: [...toolsFor(setUp, 'sparkPlugs', PLUG_TOOLS), 'blower', 'goggles'],
    },
  );
}

function plugsIn(setUp: MachineSetUp, text: string) {
  return step('in', 'whileItDrains', text, 5, {
    needs: ['safe', 'cool'],
    measurement: gapOf(setUp),
    setBy: 'Bend the side electrode alone, never lever on the middle one, and measure again.',
    rule: 'torque',
    tools: ['torque wrench', 'feeler gauge'],
    figures: torqueFigures(setUp, 'sparkPlugs'),
  });
}

export const PLUGS_REPLACE: Procedure = {
  key: 'plugsReplace',
  name: 'Spark plugs: replace',
  does: workOn(['replace'], 'sparkPlugs'),
  covers: ['plugsInspect'],
  steps: (setUp) => [
    plugsOut(setUp, WHEN_TO_REPLACE[setUp.rules.plugs]),
    plugsIn(
      setUp,
      'Set the gap of the new plugs. Start the threads by hand; to the figure, or a quarter turn after the new washer meets the head.',
    ),
  ],
};

/** A washer that was squeezed before gives less (common practice). */
function tightenedAgain(setUp: MachineSetUp): string {
  return torqueFigures(setUp, 'sparkPlugs').length
    ? 'to the figure'
    : 'an eighth of a turn after the old washer meets the head, a new one a quarter';
}

export const PLUGS_INSPECT: Procedure = {
  key: 'plugsInspect',
  name: 'Spark plugs: look at, set gap',
  does: workOn(['inspect', 'clean'], 'sparkPlugs'),
  steps: (setUp) => [
    plugsOut(setUp),
    plugsIn(
      setUp,
      `Measure and set the gap, and put them back: threads by hand, then ${tightenedAgain(setUp)}.`,
    ),
  ],
};
