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

/** How it comes out: by the card of the machine; by the shop's rule with the extractor, where it has a plug to spare; else as is usual. */
function outBy({ spec, rules }: MachineSetUp, { fluid, plug }: Usual): FluidDrain | 'filters' {
  const said = spec.fluids.find(({ component }) => component === fluid)?.drain ?? null;
  if (said === 'extractor' || (plug !== null && rules.otherDrain === 'extractor')) return 'extractor';
  const by = said ?? 'plug';
  return by === 'plug' && plug === null ? 'filters' : by;
}

/** How a fluid is drained, and what closes it again. What runs out of its filters cannot be pumped, and nothing else closes it. */
export function drainWay(setUp: MachineSetUp, usual: Usual): DrainWay {
  const { plug, drain } = usual;
  const by = outBy(setUp, usual);
  if (by === 'filters') {
    const nothing = { close: null, closingTools: [], hasPlugs: false } as const;
    return { open: drain, vessel: 'pan', tools: ['drain pan'], ...nothing };
  }
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
