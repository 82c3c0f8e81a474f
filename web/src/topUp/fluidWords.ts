import { componentSpec } from '@yugator/core';
import type { Component, Thirst } from '@yugator/core';

/** "engine oil" */
export function fluidWords(component: Component): string {
  return componentSpec(component).words;
}

export const THIRST_WORDS: Record<Thirst, string> = {
  moreThanUsual: 'three times what it used to take, or more',
  moreThanCard: 'more than its card allows',
};
