import { componentSpec } from '../component/components.js';
import type { Component } from '../component/components.js';
import { ACCESS, accessAct } from './access.js';
import type { Access, AccessSpec } from './access.js';

/** What a machine has of its own to open is named by its card, behind this. */
const OWN = 'own:';
export type AccessName = Access | `${typeof OWN}${string}`;

/** What a card may have opened besides what it names itself. */
export const CARD_ACCESS = ['hoodOff', 'batteryOut', 'deckRaised', 'bedUp', 'wheelsOff'] as const;
export type CardAccess = (typeof CARD_ACCESS)[number];

/** Hands that open or close what the card gives no minutes for. */
const USUAL_MINUTES = 3;

/** What has to be opened on a machine to reach a component. */
export interface AccessLine {
  readonly component?: Component | null;
  /** one of those that any machine may have; null for one of its own, by its name */
  readonly opens: CardAccess | null;
  readonly name: string;
  /** tools and sizes, and how */
  readonly note: string;
  /** minutes of hands; null where nobody said */
  readonly openMinutes: number | null;
  readonly closeMinutes: number | null;
}

/** The part of a card that says so, in the order in which it is opened. */
interface Card {
  readonly access: readonly AccessLine[];
}

/** What it is called: its own name, else after what it covers. */
function wordsOf({ name, component }: AccessLine): string {
  return name.trim() || (component ? `cover of the ${componentSpec(component).words}` : 'cover');
}

function nameOf(line: AccessLine): AccessName {
  return line.opens ?? `${OWN}${wordsOf(line)}`;
}

function specOf(line: AccessLine): AccessSpec {
  const { note, openMinutes, closeMinutes } = line;
  const name = wordsOf(line);
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
export function accessesOf({ access }: Card): ReadonlyMap<AccessName, AccessSpec> {
  const all = new Map<AccessName, AccessSpec>(Object.entries(ACCESS) as [Access, AccessSpec][]);
  for (const line of access) {
    const name = nameOf(line);
    if (!all.has(name)) all.set(name, specOf(line));
  }
  return all;
}

/** What a card names to be opened, each once, with what it is called there. */
export function cardAccesses({
  access,
}: Card): readonly { readonly name: AccessName; readonly words: string }[] {
  const all = accessesOf({ access });
  return [...new Set(access.map(nameOf))].map((name) => ({ name, words: all.get(name)?.words ?? name }));
}

/** What the card wants opened to reach some components. */
export function wayTo({ access }: Card, components: readonly Component[]): readonly AccessName[] {
  return access.flatMap((line) =>
    line.component && components.includes(line.component) ? [nameOf(line)] : [],
  );
}
