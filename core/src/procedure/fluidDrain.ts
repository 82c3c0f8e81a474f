import type { Component } from '../component/components.js';
import { toolsFor } from './machineSetUp.js';
import type { FluidDrain, MachineSetUp } from './machineSetUp.js';

/** What draining a fluid comes to on a machine. */
export interface DrainWay {
  readonly open: string;
  /** null where nothing was opened */
  readonly close: string | null;
  readonly vessel: 'pan' | 'extractor';
  readonly tools: readonly string[];
  readonly closingTools: readonly string[];
  /** whether what closes it is tightened to a figure */
  readonly hasPlugs: boolean;
}

/** How the usual fluid of its kind is drained, in words; `plug` is what closes it, null where filters or covers are its drain. */
interface Usual {
  readonly fluid: Component;
  readonly plug: Component | null;
  readonly drain: string;
}

const OPEN: Record<Exclude<FluidDrain, 'plug'>, string> = {
  twoPlugs: 'Pan under both drain plugs, and open both: each side keeps its own oil.',
  valve: 'Put the hose on its drain valve, lead it into the pan, and open it.',
  hose: 'Lay its drain hose into the pan and open it.',
  extractor: 'Push the extractor tube through the fill opening down to the bottom, and pump.',
  cap: 'Pan under the cap, and take it off.',
};

const CLOSE: Record<FluidDrain, string | null> = {
  plug: 'Put the plugs back with good washers.',
  twoPlugs: 'Put both plugs back with good washers: count two in before you fill.',
  valve: 'Close the valve, take the hose off, put its cap on, and wipe dry.',
  hose: 'Close the hose, clip it back where it hangs, and wipe dry.',
  extractor: null,
  cap: 'Wipe the cap and its seat, and put it back until it sits all round.',
};

const TOOLS: Record<FluidDrain, readonly string[]> = {
  plug: ['wrench for the drain plug'],
  twoPlugs: ['wrench for the drain plugs'],
  valve: ['drain hose'],
  hose: [],
  extractor: ['oil extractor'],
  cap: [],
};

/**
 * How a fluid is drained: by the card of the machine; by the shop's rule with the extractor, where it has a plug to spare; else as is
 * usual for it. What runs out of its filters or covers cannot be pumped.
 */
export function drainWay(setUp: MachineSetUp, { fluid, plug, drain }: Usual): DrainWay {
  const { spec, rules } = setUp;
  const said = spec.fluids.find(({ component }) => component === fluid)?.drain ?? null;
  const isPumped = said === 'extractor' || (plug !== null && rules.otherDrain === 'extractor');
  const by = isPumped ? 'extractor' : (said ?? 'plug');
  const hasPlugs = by === 'plug' || by === 'twoPlugs';
  const opener = hasPlugs && plug ? toolsFor(setUp, plug, TOOLS[by]) : TOOLS[by];
  return {
    open: by === 'plug' ? drain : OPEN[by],
    close: CLOSE[by],
    vessel: by === 'extractor' ? 'extractor' : 'pan',
    tools: by === 'extractor' ? opener : ['drain pan', ...opener],
    closingTools: hasPlugs ? ['torque wrench'] : ['rags'],
    hasPlugs,
  };
}
