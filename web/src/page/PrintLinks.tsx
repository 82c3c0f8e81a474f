import { PAPERS } from '@yugator/contracts';
import type { Paper } from '@yugator/contracts';
import { useSession } from '../session/useSession.js';

interface Props {
  /** what is printed */
  readonly word: string;
  /** the address of the PDF, without its query */
  readonly path: string;
  readonly query?: string;
  /** the papers it can be had on; both, where it does not say */
  readonly papers?: readonly Paper[];
}

const PAPER_WORDS: Record<Paper, string> = { a4: 'A4', letter: 'Letter' };

/** Leads to a PDF on either paper, the usual one of the shop first. */
export function PrintLinks({ word, path, query = '', papers = PAPERS }: Props) {
  const { site } = useSession();
  const inOrder = site.unitSystem === 'us' ? papers.toReversed() : papers;
  return (
    <span className="print-links">
      {word}:{' '}
      {inOrder.map((paper, index) => (
        <span key={paper}>
          {index ? ' or ' : ''}
          <a href={`/api${path}?paper=${paper}${query}`} target="_blank" rel="noreferrer">
            {PAPER_WORDS[paper]}
            <span className="visually-hidden"> as PDF, {word}, opens in a new tab</span>
          </a>
        </span>
      ))}
    </span>
  );
}
