import type { Component } from '../component/components.js';
import { ACCESS, accessAct } from './access.js';
import type { Access, AccessSpec } from './access.js';
import type { MachineSpec } from './machineSetUp.js';

/** What a machine has of its own to open is named by its card, behind this. */
const OWN = 'own:';
export type AccessName = Access | `${typeof OWN}${string}`;

/** What a card may have opened besides what it names itself. */
export const CARD_ACCESS = ['hoodOff', 'batteryOut', 'deckRaised', 'bedUp', 'wheelsOff'] as const;
export type CardAccess = (typeof CARD_ACCESS)[number];

/** Hands that open or close what the card gives no minutes for. */
const USUAL_MINUTES = 3;

type Line = MachineSpec['access'][number];

function nameOf({ opens, name }: Line): AccessName {
  return opens ?? `${OWN}${name.trim()}`;
}

function specOf({ name, note, openMinutes, closeMinutes }: Line): AccessSpec {
  const how = note ? ` (${note})` : '';
  return {
    words: name,
    open: accessAct(
      'openUp',
      `Open or take off: ${name}${how}. Lay its fasteners out in order.`,
      openMinutes ?? USUAL_MINUTES,
    ),
    close: accessAct(
      'closeUp',
      `Put back: ${name}${how}. Count its fasteners back in.`,
      closeMinutes ?? openMinutes ?? USUAL_MINUTES,
    ),
  };
}

/**
 * All that can be opened on a machine, in the order in which it is opened: what every machine has, then what its card names, from the
 * first line to the last. Several lines of one name are one thing that opens the way to several components.
 */
export function accessesOf({ access }: Pick<MachineSpec, 'access'>): ReadonlyMap<AccessName, AccessSpec> {
  const all = new Map<AccessName, AccessSpec>(Object.entries(ACCESS) as [Access, AccessSpec][]);
  for (const line of access) {
    const name = nameOf(line);
    if (!all.has(name)) all.set(name, specOf(line));
  }
  return all;
}

/** What the card wants opened to reach some components. */
export function wayTo(
  { access }: Pick<MachineSpec, 'access'>,
  components: readonly Component[],
): readonly AccessName[] {
  return access.flatMap((line) =>
    line.component && components.includes(line.component) ? [nameOf(line)] : [],
  );
}
