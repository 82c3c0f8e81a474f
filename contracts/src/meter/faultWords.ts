import type { ReadingFault } from '@yugator/core';

/** The fault of a reading in one sentence, with the way out. */
export function faultWords(fault: ReadingFault): string {
  switch (fault.code) {
    case 'backwards':
      return `Less than the ${fault.before.shown} h read before. Check the figure; if the earlier one was wrong, void it on the machine's page.`;
    case 'aheadOfLater':
      return `More than the ${fault.after.shown} h read later. Check the figure and the day; if the later one was wrong, void it on the machine's page.`;
    case 'fasterThanClock':
      return `Up ${fault.grown} h in ${Math.floor(fault.elapsed)} h on the clock. Check the figure; if the earlier reading was wrong, void it on the machine's page.`;
  }
}

/** A reading that could be, but seldom is, in one sentence. */
export function unusualWords(grown: number): string {
  return `Up ${grown} h, more than this machine runs in 99 of 100 such times. Look again; if it is right, confirm it.`;
}
