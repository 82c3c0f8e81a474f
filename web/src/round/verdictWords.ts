import { hoursWords } from '../words/figures.js';
import type { TypedVerdict } from './judge.js';

/** A verdict in words, with the way out where it is refused; empty while nothing is typed. */
export function verdictWords(verdict: TypedVerdict): string {
  switch (verdict.kind) {
    case 'empty':
      return '';
    case 'notAFigure':
      return 'Type hours such as 412.6.';
    case 'accepted':
      return verdict.grown === null ? 'First reading' : `+${hoursWords(verdict.grown)} h`;
    case 'unusual':
      return `+${hoursWords(verdict.grown)} h is more than it runs in 99 of 100 such times. Look again; if it is right, confirm it.`;
    case 'refused':
      return refusalWords(verdict.fault);
  }
}

function refusalWords(fault: Extract<TypedVerdict, { kind: 'refused' }>['fault']): string {
  switch (fault.code) {
    case 'backwards':
      return `Runs backwards: ${hoursWords(fault.before.shown)} h was read before. A slip? If the earlier reading was wrong, void it on the machine's page.`;
    case 'aheadOfLater':
      return `More than the ${hoursWords(fault.after.shown)} h read later. Check the figure.`;
    case 'fasterThanClock':
      return `Faster than the clock: up ${hoursWords(fault.grown)} h in ${hoursWords(fault.elapsed)} h. A slip? If the earlier reading was wrong, void it on the machine's page.`;
  }
}
