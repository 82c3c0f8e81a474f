import type { Component } from './components.js';
import { componentsOfOldLine, componentsOfWords } from './oldWords.js';

/** A line of a book as files hold it: components of the list, or the free words of an older version. */
export interface LooseLine {
  readonly name: string;
  readonly action: string;
  readonly components?: readonly Component[];
  readonly component?: string;
}

/** What a line is done to; `oldWords` where only the crew lead can say what those meant, else ''. */
export interface LineComponents {
  readonly components: readonly Component[];
  readonly oldWords: string;
}

/** The components of a line; older words are taken over where they mean one thing only. */
export function lineComponents({ name, action, components = [], component = '' }: LooseLine): LineComponents {
  if (components.length > 0) return { components, oldWords: '' };
  const known = componentsOfOldLine({ name, action, component });
  return known ? { components: known, oldWords: '' } : { components: [], oldWords: component };
}

/** The component of a line of a spec card; one of an older version goes by its name. Null where only the crew lead can say. */
export function cardComponent(component: Component | null | undefined, name: string): Component | null {
  if (component !== undefined) return component;
  return componentsOfWords(name)?.[0] ?? null;
}
