import { ACCESS, ACCESS_ORDER } from './access.js';
import type { Access } from './access.js';
import { proceduresFor } from './catalogue.js';
import type { MachineSetUp, WorkItem } from './machineSetUp.js';
import { PHASES } from './phase.js';
import type { Phase } from './phase.js';
import type { Procedure } from './procedure.js';
import { step } from './step.js';
import type { Step } from './step.js';

/** A step of a sheet, with the items that it belongs to. */
export interface SheetStep extends Step {
  /** unique in the sheet, and the same whenever the sheet is composed anew */
  readonly key: string;
  readonly itemIds: readonly string[];
  /** where it opens or closes what several items need */
  readonly access: { readonly name: Access; readonly side: 'open' | 'close' } | null;
  /** keys of steps of its own procedure that come before it */
  readonly follows: readonly { readonly key: string; readonly link: 'finish' | 'hands' }[];
}

const WHOLE_VISIT = [
  step(
    'walkRound',
    'lookOver',
    'Walk round: drips beneath, tyres, guards, loose bolts. Read the hours and write them down.',
    3,
    {
      needs: [],
    },
  ),
  step('tidy', 'finish', 'Wipe all spills, or the next one sees a leak. Count the tools and rags back.', 4, {
    needs: [],
  }),
  step('signOff', 'signOff', 'Sign off: hours, minutes, what was used, what was found.', 2, { needs: [] }),
] as const;

interface Asked {
  readonly procedure: Procedure;
  readonly items: WorkItem[];
}

/** The procedures of a job, each once, with the items that ask for it; weaker ones are done along with the stronger. */
function askedFor(items: readonly WorkItem[]): Asked[] {
  const asked = new Map<string, Asked>();
  for (const item of items) {
    for (const procedure of proceduresFor(item)) {
      const key = procedure.key === 'byTheBook' ? `byTheBook-${item.id}` : procedure.key;
      const known = asked.get(key);
      if (known) known.items.push(item);
      else asked.set(key, { procedure, items: [item] });
    }
  }
  for (const { procedure, items: own } of asked.values()) {
    for (const weaker of procedure.covers ?? []) {
      own.push(...(asked.get(weaker)?.items ?? []).filter((item) => !own.includes(item)));
      asked.delete(weaker);
    }
  }
  return [...asked.values()];
}

/** Fasteners without a figure in the book get the wrench only where the shop wants it on all. */
function withTorqueRule(own: Step, { rules }: MachineSetUp): Step {
  if (own.rule !== 'torque' || own.figures.length) return own;
  if (rules.torque === 'all')
    return { ...own, text: `${own.text} No figure in the book: the usual one for its thread.` };
  return { ...own, tools: own.tools.filter((tool) => tool !== 'torque wrench') };
}

function stepsOf({ procedure, items }: Asked, setUp: MachineSetUp): SheetStep[] {
  const [first] = items;
  if (!first) return [];
  const item = {
    ...first,
    name: items.map(({ name }) => name).join('; '),
    component: items.map(({ component }) => component).join('; '),
  };
  const prefix = procedure.key === 'byTheBook' ? `byTheBook-${first.id}` : procedure.key;
  const steps = procedure.steps(setUp, items.length > 1 && procedure.key !== 'byTheBook' ? item : first);
  const keyOf = (own: Step) => (own.shared === null ? `${prefix}.${own.id}` : `shared.${own.shared}`);
  return steps.map((own, index) => {
    const above = steps[index - 1];
    const follows =
      own.after === null
        ? above
          ? [{ key: keyOf(above), link: 'finish' as const }]
          : []
        : own.after.flatMap(({ id, link }) => {
            const before = steps.find((other) => other.id === id);
            return before ? [{ key: keyOf(before), link }] : [];
          });
    return {
      ...withTorqueRule(own, setUp),
      key: keyOf(own),
      itemIds: items.map(({ id }) => id),
      access: null,
      follows,
    };
  });
}

function union<T>(a: readonly T[], b: readonly T[]): T[] {
  return [...new Set([...a, ...b])];
}

/** One step in place of two that several items share. */
function merged(a: SheetStep, b: SheetStep): SheetStep {
  const known = new Set(a.follows.map(({ key }) => key));
  return {
    ...a,
    handsOn: Math.max(a.handsOn, b.handsOn),
    handsOff: Math.max(a.handsOff, b.handsOff),
    needs: union(a.needs, b.needs),
    cautions: union(a.cautions, b.cautions),
    tools: union(a.tools, b.tools),
    itemIds: union(a.itemIds, b.itemIds),
    follows: [...a.follows, ...b.follows.filter(({ key }) => !known.has(key))],
  };
}

/** Before the machine is made safe, and once it is closed up, nothing is held open. */
function holdsAccess(phase: Phase): boolean {
  const at = PHASES.indexOf(phase);
  return at >= PHASES.indexOf('makeSafe') && at <= PHASES.indexOf('closeUp');
}

function accessStep(
  name: Access,
  side: 'open' | 'close',
  itemIds: readonly string[],
  isWarm: boolean,
): SheetStep[] {
  const act = ACCESS[name][side];
  if (!act) return [];
  // An engine that was not run is cool already: one only makes sure.
  const isCoolAlready = name === 'cool' && !isWarm;
  const { phase, text, handsOn, handsOff, wait, cautions, tools } = act;
  const plain = step(`${name}.${side}`, phase, text, handsOn, {
    wait,
    cautions,
    tools,
    handsOff,
    needs: [],
    after: [],
  });
  return [
    {
      ...plain,
      ...(isCoolAlready ? { handsOff: 0, wait: null, text: 'Feel the cylinder head: it must be cool.' } : {}),
      key: `access.${name}.${side}`,
      itemIds,
      access: { name, side },
      follows: [],
    },
  ];
}

/** The accesses that steps need, each opened and closed once. */
function accessSteps(steps: readonly SheetStep[]): SheetStep[] {
  const isWarm = steps.some(({ needs }) => needs.includes('warm'));
  return ACCESS_ORDER.flatMap((name) => {
    const users = steps.filter(({ needs }) => needs.includes(name));
    if (users.length === 0) return [];
    const itemIds = [...new Set(users.flatMap((user) => user.itemIds))];
    return [...accessStep(name, 'open', itemIds, isWarm), ...accessStep(name, 'close', itemIds, isWarm)];
  });
}

/**
 * All steps of a job, in the order of the phases and, within a phase, of its items; what several items share stands there once.
 */
export function sheetSteps(setUp: MachineSetUp): SheetStep[] {
  const byKey = new Map<string, SheetStep>();
  for (const asked of askedFor(setUp.items)) {
    for (const own of stepsOf(asked, setUp)) {
      const held = holdsAccess(own.phase) ? own : { ...own, needs: [] };
      const known = byKey.get(own.key);
      byKey.set(own.key, known ? merged(known, held) : held);
    }
  }
  const work = [...byKey.values()];
  const all = setUp.items.map(({ id }) => id);
  const visit = WHOLE_VISIT.map((own) => ({
    ...own,
    key: `visit.${own.id}`,
    itemIds: all,
    access: null,
    follows: [],
  }));
  const opens = accessSteps(work);
  const closes = opens.filter(({ access }) => access?.side === 'close').reverse();
  const rest = [...visit, ...opens.filter(({ access }) => access?.side === 'open'), ...work, ...closes];
  return rest
    .map((own, index) => ({ own, index }))
    .sort((a, b) => PHASES.indexOf(a.own.phase) - PHASES.indexOf(b.own.phase) || a.index - b.index)
    .map(({ own }) => own);
}
