import { sheetSteps } from './compose.js';
import type { SheetStep } from './compose.js';
import { drainedLitres, filledLitres } from './fluidsOf.js';
import type { FetchedFluid } from './fluidsOf.js';
import type { MachineSetUp } from './machineSetUp.js';
import { orderedPairs } from './orders.js';
import { PHASES, phaseLink } from './phase.js';
import { criticalPath, planFor } from './plan.js';
import type { Link } from './plan.js';

/** What is fetched before the first step. */
export interface FetchList {
  readonly tools: readonly string[];
  /** litres that will come out, by fluid: the pan must take them */
  readonly drained: readonly FetchedFluid[];
  /** litres that will go in, by fluid */
  readonly filled: readonly FetchedFluid[];
}

/** A job as it is worked: its steps in the order in which one person begins them. */
export interface Sheet {
  readonly steps: readonly SheetStep[];
  /** minutes from the beginning at which one person begins each step */
  readonly starts: readonly number[];
  /** minutes of hands on the machine */
  readonly handsOn: number;
  /** minutes until all is done */
  readonly elapsed: { readonly one: number; readonly two: number };
  /** minutes that no number of hands can go below */
  readonly criticalPath: number;
  readonly fetch: FetchList;
}

const FLUID_PHASES = ['startDraining', 'closeDrains', 'filtersOn', 'firstPour'];

function sameFluidWay(earlier: SheetStep, later: SheetStep): boolean {
  return (
    earlier.fluid !== null &&
    earlier.fluid === later.fluid &&
    FLUID_PHASES.includes(later.phase) &&
    PHASES.indexOf(earlier.phase) < PHASES.indexOf(later.phase)
  );
}

/** Accesses are opened one after the other and closed the other way round: what lies on top comes off first and goes on last. */
function isInTurn(earlier: SheetStep, later: SheetStep): boolean {
  if (!earlier.access || !later.access || earlier.phase !== later.phase) return false;
  const { place, side } = earlier.access;
  if (side !== later.access.side) return false;
  const apart = later.access.place - place;
  // What cools or warms by itself holds nothing up.
  return earlier.handsOff === 0 && (side === 'open' ? apart > 0 : apart < 0);
}

/** Whether one step opens what the other needs, or closes what the other needed. */
function isHeldOpen(earlier: SheetStep, later: SheetStep): boolean {
  if (earlier.access?.side === 'open') return later.needs.includes(earlier.access.name);
  return later.access?.side === 'close' && earlier.needs.includes(later.access.name);
}

/** Which step waits for which, and how long. `steps` are in the order of {@link sheetSteps}. */
export function linksOf(steps: readonly SheetStep[]): Link[] {
  const links: Link[] = orderedPairs(steps).map(({ from, to }) => {
    const { handsOn = 0, handsOff = 0 } = steps[from] ?? {};
    return { from, to, lag: handsOn + handsOff };
  });
  steps.forEach((later, to) => {
    steps.forEach((earlier, from) => {
      if (from === to) return;
      const own = later.follows.find(({ key }) => key === earlier.key)?.link;
      const finish =
        own === 'finish' ||
        phaseLink(earlier.phase, later.phase) === 'finish' ||
        (own !== 'hands' && sameFluidWay(earlier, later)) ||
        isHeldOpen(earlier, later) ||
        isInTurn(earlier, later);
      const hands = own === 'hands' || phaseLink(earlier.phase, later.phase) === 'hands';
      if (finish) links.push({ from, to, lag: earlier.handsOn + earlier.handsOff });
      else if (hands) links.push({ from, to, lag: earlier.handsOn });
    });
  });
  return links;
}

/** The sheet of a job: one visit of one machine with all of its items. */
export function composeSheet(setUp: MachineSetUp): Sheet {
  const steps = sheetSteps(setUp);
  const links = linksOf(steps);
  const one = planFor(steps, links, 1);
  const two = planFor(steps, links, 2);
  const order = steps
    .map((own, index) => ({ own, index, start: one.starts[index] ?? 0 }))
    .sort((a, b) => a.start - b.start || a.index - b.index);
  return {
    steps: order.map(({ own }) => own),
    starts: order.map(({ start }) => start),
    handsOn: steps.reduce((sum, own) => sum + own.handsOn, 0),
    elapsed: { one: one.elapsed, two: Math.min(one.elapsed, two.elapsed) },
    criticalPath: criticalPath(steps, links),
    fetch: {
      tools: [...new Set(order.flatMap(({ own }) => own.tools))],
      drained: drainedLitres(steps),
      filled: filledLitres(steps),
    },
  };
}
