import type { Component } from '../component/components.js';
import type { AccessSpec } from './access.js';
import { proceduresFor } from './catalogue.js';
import type { MachineSetUp, WorkItem } from './machineSetUp.js';
import { accessesOf, wayTo } from './ownAccess.js';
import type { AccessName } from './ownAccess.js';
import { PHASES } from './phase.js';
import type { Phase } from './phase.js';
import { isDoneBy } from './procedure.js';
import type { AskedWork, Procedure } from './procedure.js';
import { step } from './step.js';
import type { Step } from './step.js';

/**
 * What a step is there for:
 * - `visit`: the visit as a whole, whatever its items
 * - `access`: opens or closes what several items need
 * - `shared`: several items have it in common
 * - `work`: the items themselves; when all of it is done, so are they
 */
export const STEP_KINDS = ['visit', 'access', 'shared', 'work'] as const;
export type StepKind = (typeof STEP_KINDS)[number];

/** The opening or the closing of something. */
interface AccessSide {
  readonly name: AccessName;
  readonly side: 'open' | 'close';
  /** its place in the order of opening: what lies on top comes off first and goes on last */
  readonly place: number;
}

/** A step of a sheet, with the items that it belongs to. */
export interface SheetStep extends Omit<Step, 'continues' | 'needs'> {
  /** what has to be open for it */
  readonly needs: readonly AccessName[];
  /** unique in the sheet, and the same whenever the sheet is composed anew */
  readonly key: string;
  readonly kind: StepKind;
  readonly itemIds: readonly string[];
  /** what it is done to; none where that is the machine as a whole */
  readonly components: readonly Component[];
  /** where it opens or closes what several items need */
  readonly access: AccessSide | null;
  /** key of the step that it goes on with: what was said of the jug there holds here */
  readonly continues: string | null;
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

/** What a visit without items is for. What is wrong may be anywhere: the machine is made safe, and the cautions are those of all work on it. */
const MENDING = step(
  'mend',
  'whileItDrains',
  'Mend what is wrong with it, as its manual says. What you are not sure of is for a technician.',
  0,
  { cautions: ['raisedDeck', 'blades', 'hotEngine'] },
);

interface Asked {
  readonly key: string;
  readonly procedure: Procedure;
  readonly items: WorkItem[];
}

/** The procedures of a job, each once, with the items that ask for it; weaker ones are done along with the stronger. */
function askedFor(items: readonly WorkItem[]): Asked[] {
  const asked = new Map<string, Asked>();
  for (const item of items) {
    for (const procedure of proceduresFor(item)) {
      const key = procedure.isOfEachItem ? `${procedure.key}-${item.id}` : procedure.key;
      const known = asked.get(key);
      if (known) known.items.push(item);
      else asked.set(key, { key, procedure, items: [item] });
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

/** The work that items ask a procedure for: its components and its actions. */
function workOf({ procedure, items }: Asked): Pick<AskedWork, 'components' | 'actions'> {
  const asked = items.flatMap(({ action, components }) =>
    components
      .filter((component) => isDoneBy(procedure, { action, component }))
      .map((component) => ({ action, component })),
  );
  return {
    components: [...new Set(asked.map(({ component }) => component))],
    actions: [...new Set(asked.map(({ action }) => action))],
  };
}

/** What its procedure needs open, and what the card of the machine wants opened to reach what it is done to. */
function needsOf(own: Step, components: readonly Component[], { spec }: MachineSetUp): readonly AccessName[] {
  // Before the machine is made safe, and once it is closed up, nothing is held open.
  if (!holdsAccess(own.phase)) return [];
  const way = own.phase === 'makeSafe' ? [] : wayTo(spec, components);
  return way.length ? union(union(own.needs, ['safe']), way) : own.needs;
}

function stepsOf(asked: Asked, setUp: MachineSetUp): SheetStep[] {
  const { key: prefix, procedure, items } = asked;
  const { components, actions } = workOf(asked);
  const name = items.map((item) => item.name).join('; ');
  const steps = procedure.steps(setUp, { name, components, actions });
  const keyOf = (own: Step) => (own.shared === null ? `${prefix}.${own.id}` : `shared.${own.shared}`);
  const keyById = new Map(steps.map((own) => [own.id, keyOf(own)]));
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
      kind: own.shared === null ? 'work' : 'shared',
      itemIds: items.map(({ id }) => id),
      components,
      needs: needsOf(own, components, setUp),
      access: null,
      continues: own.continues === null ? null : (keyById.get(own.continues) ?? null),
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
    components: union(a.components, b.components),
    follows: [...a.follows, ...b.follows.filter(({ key }) => !known.has(key))],
  };
}

function holdsAccess(phase: Phase): boolean {
  const at = PHASES.indexOf(phase);
  return at >= PHASES.indexOf('makeSafe') && at <= PHASES.indexOf('closeUp');
}

/** An engine that was not run is cool already: one only makes sure. */
const COOL_ALREADY: Partial<Step> = {
  handsOff: 0,
  wait: null,
  text: 'Feel the cylinder head: it must be cool.',
};
/** One that was warmed is drained warm: it cools while the oil runs out. */
const COOLS_MEANWHILE: Partial<Step> = {
  phase: 'whileItDrains',
  text: 'Meanwhile the engine cools, until you can hold a hand on the cylinder head.',
};

/** A side of an access as a step of the sheet; none where nothing is to be undone. */
function accessStep(
  spec: AccessSpec,
  access: AccessSide,
  itemIds: readonly string[],
  engine: { readonly isWarm: boolean; readonly mayWait: boolean; readonly fuel: MachineSetUp['fuel'] },
): SheetStep[] {
  const { name, side } = access;
  const act = spec[side];
  if (!act) return [];
  const isCool = name === 'cool';
  const text = (engine.fuel === 'diesel' ? act.ofDiesel : null) ?? act.text;
  const { phase, handsOn, handsOff, wait, cautions, tools } = act;
  const plain = step(`${name}.${side}`, phase, text, handsOn, { wait, cautions, tools, handsOff, after: [] });
  return [
    {
      ...plain,
      ...(isCool && !engine.isWarm ? COOL_ALREADY : {}),
      ...(isCool && engine.isWarm && engine.mayWait ? COOLS_MEANWHILE : {}),
      key: `access.${name}.${side}`,
      kind: 'access',
      itemIds,
      components: [],
      needs: [],
      access,
      continues: null,
      follows: [],
    },
  ];
}

/** Whether a step waits for nothing that drains first. */
function comesWhileItDrains({ phase }: Pick<SheetStep, 'phase'>): boolean {
  return PHASES.indexOf(phase) >= PHASES.indexOf('whileItDrains');
}

/** The accesses that steps need, each opened and closed once. */
function accessSteps(steps: readonly SheetStep[], { spec, fuel }: MachineSetUp): SheetStep[] {
  const isWarm = steps.some(({ needs }) => needs.includes('warm'));
  return [...accessesOf(spec)].flatMap(([name, own], place) => {
    const users = steps.filter(({ needs }) => needs.includes(name));
    if (users.length === 0) return [];
    const itemIds = [...new Set(users.flatMap((user) => user.itemIds))];
    return (['open', 'close'] as const).flatMap((side) =>
      accessStep(own, { name, side, place }, itemIds, {
        isWarm,
        mayWait: users.every(comesWhileItDrains),
        fuel,
      }),
    );
  });
}

/**
 * All steps of a job, in the order of the phases and, within a phase, of its items; what several items share stands there once. A job
 * without items mends what is wrong with its machine.
 */
export function sheetSteps(setUp: MachineSetUp): SheetStep[] {
  const byKey = new Map<string, SheetStep>();
  for (const asked of askedFor(setUp.items)) {
    for (const own of stepsOf(asked, setUp)) {
      const known = byKey.get(own.key);
      byKey.set(own.key, known ? merged(known, own) : own);
    }
  }
  const work = [...byKey.values()];
  const all = setUp.items.map(({ id }) => id);
  const visit = [...WHOLE_VISIT, ...(all.length ? [] : [MENDING])].map((own) => ({
    ...own,
    key: `visit.${own.id}`,
    kind: 'visit' as const,
    itemIds: all,
    components: [],
    access: null,
    continues: null,
    follows: [],
  }));
  const opens = accessSteps([...visit, ...work], setUp);
  const closes = opens.filter(({ access }) => access?.side === 'close').reverse();
  const rest = [...visit, ...opens.filter(({ access }) => access?.side === 'open'), ...work, ...closes];
  return rest
    .map((own, index) => ({ own, index }))
    .sort((a, b) => PHASES.indexOf(a.own.phase) - PHASES.indexOf(b.own.phase) || a.index - b.index)
    .map(({ own }) => own);
}
