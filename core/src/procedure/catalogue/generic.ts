import type { Procedure } from '../procedure.js';
import { step } from '../step.js';

/** Work that no procedure knows: it is done by its own book. */
export const BY_THE_BOOK: Procedure = {
  key: 'byTheBook',
  name: 'By the book',
  does: [],
  isOfEachItem: true,
  steps: (_setUp, { name }) => [
    step('do', 'whileItDrains', `${name}: as its book says.`, 10, {
      cautions: ['machineMoves'],
      tools: ['its book'],
    }),
  ],
};
