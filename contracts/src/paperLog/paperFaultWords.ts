import type { KnownLife, PaperFault } from '@yugator/core';

function pointWords({ on, life }: KnownLife): string {
  return `${life.toFixed(1)} h on ${on}`;
}

/** Why a row of a paper log cannot be true, in a sentence. */
export function paperFaultWords(fault: PaperFault): string {
  switch (fault.code) {
    case 'future':
      return 'That day is still to come. Give the day it was done.';
    case 'beforeService':
      return `The machine went into service on ${fault.on}. Give a later day, or correct that day under Details.`;
    case 'backwards':
      return `It had ${pointWords(fault.known)} already. Check the hours and the day.`;
    case 'tooMany':
      return `It had only ${pointWords(fault.known)}. Check the hours and the day.`;
    case 'tooFast':
      return `Nobody runs so many hours in so few days: it had ${pointWords(fault.known)}. Check the hours and the day.`;
  }
}
