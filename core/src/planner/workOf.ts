import { sheetSteps } from '../procedure/compose.js';
import type { SheetStep } from '../procedure/compose.js';
import type { MachineSetUp } from '../procedure/machineSetUp.js';

/** What the work of a machine takes in hands: of a visit, of what several items share, and of each item by itself. */
export interface WorkTimes {
  /** minutes of every visit: to look over, clean, write up */
  readonly setUp: number;
  /** minutes of what is done once for all items that need it: opened and closed, warmed up */
  readonly shared: readonly number[];
  readonly items: ReadonlyMap<string, ItemTimes>;
}

export interface ItemTimes {
  readonly minutes: number;
  /** places in `shared` */
  readonly needs: readonly number[];
}

function minutesOf(steps: readonly SheetStep[]): number {
  return steps.reduce((sum, { handsOn }) => sum + handsOn, 0);
}

/** What a step is shared under: an opening with its closing, or a step that several items ask for. */
function sharedAs({ kind, access, key }: SheetStep): string | null {
  if (kind === 'access' && access) return `access ${access.name}`;
  return kind === 'shared' ? key : null;
}

/** The minutes of hands of a machine's items, by the steps of the sheets that each would make alone. */
export function workTimes(setUp: MachineSetUp): WorkTimes {
  const places = new Map<string, number>();
  const shared: number[] = [];
  let ofVisit = 0;
  const items = setUp.items.map((item) => {
    const steps = sheetSteps({ ...setUp, items: [item] });
    ofVisit = Math.max(ofVisit, minutesOf(steps.filter(({ kind }) => kind === 'visit')));
    const byShare = new Map<string, number>();
    for (const step of steps) {
      const name = sharedAs(step);
      if (name !== null) byShare.set(name, (byShare.get(name) ?? 0) + step.handsOn);
    }
    // Waiting, such as for an engine to cool, takes no hands.
    const inHands = [...byShare].filter(([, minutes]) => minutes > 0);
    const needs = inHands.map(([name, minutes]) => {
      const place = places.get(name) ?? shared.length;
      places.set(name, place);
      shared[place] = Math.max(shared[place] ?? 0, minutes);
      return place;
    });
    const own = minutesOf(steps.filter(({ kind }) => kind === 'work'));
    return [item.id, { minutes: own, needs }] as const;
  });
  return { setUp: ofVisit, shared, items: new Map(items) };
}
