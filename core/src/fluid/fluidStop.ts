import { COMPONENT_KEYS, componentSpec, mayHave } from '../component/components.js';
import type { Component } from '../component/components.js';
import type { MachineSetUp } from '../procedure/machineSetUp.js';
import { answeredFor, isStop, judgeFluid } from './compatibility.js';
import type { FluidFault, FluidJudgement, FluidPlace, FluidTraits } from './compatibility.js';
import { fluidPlace } from './fluidPlace.js';
import type { FluidMachine, KnownFluid } from './fluidPlace.js';

function isFluid(component: Component): boolean {
  return componentSpec(component).is === 'fluid';
}

/** What the fluids of a visit may have gone into: what its done items replaced, else all that the machine may have. */
export function filledComponents(
  { items, machineClass, fuel }: Pick<MachineSetUp, 'items' | 'machineClass' | 'fuel'>,
  doneIds: ReadonlySet<string>,
): readonly Component[] {
  const replaced = items
    .filter(({ id, action }) => action === 'replace' && doneIds.has(id))
    .flatMap(({ components }) => components)
    .filter(isFluid);
  if (replaced.length) return replaced;
  return COMPONENT_KEYS.filter((component) => isFluid(component) && mayHave(component, machineClass, fuel));
}

/** A machine with what is said to fit it. */
export interface FluidTarget extends FluidMachine {
  readonly fits: readonly (KnownFluid & { readonly articleId: string })[];
  readonly expected: FluidPlace['expected'];
}

/** Why a fluid stops. */
export interface FluidStop {
  readonly component: Component;
  readonly faults: readonly FluidFault[];
}

/** A fluid, as far as it is judged. */
export interface JudgedArticle {
  readonly id: string;
  readonly fluid: FluidTraits | null;
}

/**
 * Whether an article may go into a component of a machine. What is said to fit, with a reason where it needed one, is not stopped
 * again.
 */
export function judgeAt(
  { id, fluid }: JudgedArticle,
  component: Component,
  target: FluidTarget,
): FluidJudgement {
  const judgement = judgeFluid(fluid, fluidPlace(target, component, target.fits, target.expected));
  const isFit = target.fits.some((fit) => fit.articleId === id && fit.component === component);
  return isFit ? answeredFor(judgement) : judgement;
}

/** Why a fluid belongs in none of some components, told of the first; null where it may go into one. */
export function fluidStop(
  article: JudgedArticle,
  components: readonly Component[],
  target: FluidTarget,
): FluidStop | null {
  const stops = components.map((component) => ({
    component,
    faults: judgeAt(article, component, target).faults.filter(isStop),
  }));
  return stops.every(({ faults }) => faults.length > 0) ? (stops[0] ?? null) : null;
}
