import { COMPONENT_KEYS, componentSpec, mayHave } from '@yugator/core';
import type { Component, ComponentClass, ComponentKind } from '@yugator/core';

export const KIND_WORDS: Record<ComponentKind, string> = {
  fluid: 'Fluids',
  filter: 'Filters',
  fastener: 'Fasteners',
  belt: 'Belts',
  play: 'Clearances and play',
  wearPart: 'Wear parts',
  electrical: 'Electrical',
  structure: 'Frame, axles and attachments',
};

const KINDS = Object.keys(KIND_WORDS);

/** What machines of a class, or of any, may have of some kinds, by kind, each kind by its words; "something else" last. */
export function optionsFor(
  machineClass: ComponentClass | undefined,
  kinds?: readonly ComponentKind[],
): Component[] {
  const isWanted = (component: Component) =>
    component === 'other' || (kinds?.includes(componentSpec(component).is) ?? true);
  const rank = (component: Component) =>
    component === 'other' ? KINDS.length : KINDS.indexOf(componentSpec(component).is);
  return COMPONENT_KEYS.filter(
    (component) => (!machineClass || mayHave(component, machineClass)) && isWanted(component),
  ).sort((a, b) => rank(a) - rank(b) || componentSpec(a).words.localeCompare(componentSpec(b).words));
}

/** The options in whose words, or other words for them, every typed word occurs. */
export function searched(options: readonly Component[], typed: string): Component[] {
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  const haystack = (component: Component) => {
    const { words: own, also = [] } = componentSpec(component);
    return [own, ...also].join(' ').toLowerCase();
  };
  return options.filter((component) => words.every((word) => haystack(component).includes(word)));
}
