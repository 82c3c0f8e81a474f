import type { KeepWalkDto, MachineRefDto } from '@yugator/contracts';
import type { Typed } from '../outbox/entry.js';
import { fluidWords } from '../topUp/fluidWords.js';
import { hoursWords } from '../words/figures.js';
import type { Said } from './said.js';

function saidWords({ ending, words, poured, jpeg }: Said): string {
  switch (ending) {
    case 'defect':
      return `Defect: ${words}${jpeg === null ? '' : ', with a photo'}`;
    case 'putRight':
      return `Put right: ${words}`;
    case 'toppedUp':
      return `Topped up: ${fluidWords(poured.component)}, ${poured.litres ?? 0} l`;
  }
}

/** A walk-round as whoever made it knows it again. */
export function walkWords(
  { tag, name }: MachineRefDto,
  { shown }: KeepWalkDto,
  said: readonly Said[],
): Typed {
  return {
    title: `${tag} ${name}: walk-round`,
    lines: [`${hoursWords(shown)} h`, ...(said.length ? said.map(saidWords) : ['All well'])],
  };
}
