import { useSession } from '../session/useSession.js';

interface Props {
  /** what is printed */
  readonly word: string;
  /** the address of the PDF, without its query */
  readonly path: string;
  readonly query?: string;
}

const PAPERS = [
  { key: 'a4', word: 'A4' },
  { key: 'letter', word: 'Letter' },
] as const;

/** Leads to a PDF on either paper, the usual one of the shop first. */
export function PrintLinks({ word, path, query = '' }: Props) {
  const { site } = useSession();
  const papers = site.unitSystem === 'us' ? PAPERS.toReversed() : PAPERS;
  return (
    <span className="print-links">
      {word}:{' '}
      {papers.map((paper, index) => (
        <span key={paper.key}>
          {index ? ' or ' : ''}
          <a href={`/api${path}?paper=${paper.key}${query}`} target="_blank" rel="noreferrer">
            {paper.word}
            <span className="visually-hidden"> as PDF, {word}, opens in a new tab</span>
          </a>
        </span>
      ))}
    </span>
  );
}
