import type { Component } from '../component/components.js';
import type { Measurement } from '../measurement/measurement.js';
import type { Dimension } from '../units/units.js';
import type { HouseRuleKey } from '../site/houseRules.js';
import type { LookKey } from '../check/looks.js';
import type { Access, WaitKind } from './access.js';
import type { CautionKey } from './caution.js';
import type { Phase } from './phase.js';

/** A figure of the machine that a step works to, in SI. */
export interface Figure {
  readonly label: string;
  readonly low: number;
  readonly high: number;
  readonly dimension: Dimension;
}

/** A fluid whose level is read. */
export interface LevelNeed {
  readonly fluid: Component;
  /** litres from the low to the full mark of its dipstick; null where the card does not say */
  readonly betweenMarks: number | null;
  /** its low and full mark as they look; '' where the card does not say */
  readonly marks: string;
}

/** A fluid that a step drains or fills, with its capacities in litres. */
export interface FluidNeed extends LevelNeed {
  readonly litresWithFilter: number;
  readonly litresWithoutFilter: number | null;
  /** litres that the book says to pour first; null where it does not say */
  readonly firstPour: number | null;
  readonly filterChanged: boolean;
}

/** A step that comes before another, and whether what passes by itself in it is waited for. */
export interface After {
  readonly id: string;
  readonly link: 'finish' | 'hands';
}

/** One thing to do. */
export interface Step {
  /** unique in its procedure */
  readonly id: string;
  readonly phase: Phase;
  readonly text: string;
  /** minutes of a pair of hands */
  readonly handsOn: number;
  /** minutes that pass by themselves afterwards */
  readonly handsOff: number;
  readonly wait: WaitKind | null;
  readonly needs: readonly Access[];
  readonly cautions: readonly CautionKey[];
  readonly tools: readonly string[];
  readonly figures: readonly Figure[];
  readonly measurement: Measurement | null;
  /** days after which it is looked at again, whatever the visit was for; null where nothing waits */
  readonly againInDays: number | null;
  /** how what is measured is set where it is out, to be measured again; null where nothing can be set */
  readonly setBy: string | null;
  readonly look: LookKey | null;
  /** the house rule it follows */
  readonly rule: HouseRuleKey | null;
  readonly drains: FluidNeed | null;
  readonly fills: FluidNeed | null;
  /** the level that it reads, and what there may be to add; null where it reads none */
  readonly reads: LevelNeed | null;
  /** steps of the same procedure that come before it; the step above, where it names none */
  readonly after: readonly After[] | null;
  /** the fluid on whose way it lies: steps of several items on the same way keep the order of the phases */
  readonly fluid: Component | null;
  /** what takes what it drains; null where it drains nothing */
  readonly vessel: 'pan' | 'extractor' | null;
  /** the step of the same procedure that it goes on with: what was said of the jug there holds here */
  readonly continues: string | null;
  /** steps of several items under the same key are one step of the sheet */
  readonly shared: string | null;
}

type Optional = Omit<Step, 'id' | 'phase' | 'text' | 'handsOn'>;

const NOTHING: Optional = {
  handsOff: 0,
  wait: null,
  needs: ['safe'],
  cautions: [],
  tools: [],
  figures: [],
  measurement: null,
  setBy: null,
  againInDays: null,
  look: null,
  rule: null,
  drains: null,
  fills: null,
  reads: null,
  after: null,
  fluid: null,
  vessel: null,
  continues: null,
  shared: null,
};

/** A step with what it says, and nothing besides; the machine is made safe first unless it says otherwise. */
export function step(
  id: string,
  phase: Phase,
  text: string,
  handsOn: number,
  more: Partial<Optional> = {},
): Step {
  return { id, phase, text, handsOn, ...NOTHING, ...more };
}

/** Waits for another step of the procedure, but not for what drips or dries after it. */
export function afterHands(id: string): readonly After[] {
  return [{ id, link: 'hands' }];
}

/** Waits until another step of the procedure is over. */
export function afterAll(...ids: string[]): readonly After[] {
  return ids.map((id) => ({ id, link: 'finish' }));
}
