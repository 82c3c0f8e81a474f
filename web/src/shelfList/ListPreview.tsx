import Button from '@mui/material/Button';
import type { ListDoes, ListResultDto } from '@yugator/contracts';
import { useState } from 'react';
import { Choose } from '../form/Choose.js';
import type { Choices } from '../form/Choose.js';
import { Caution } from '../page/Caution.js';
import table from '../page/table.module.css';
import { countsWords, DOES_WORDS, lineSentences } from './listWords.js';

/** Of thousands of lines so many more are shown at a press. */
const A_PAGE = 100;

type Shown = ListDoes | 'all';

const SHOWN: Choices<Shown> = [
  ['all', 'All that do something'],
  ['fault', DOES_WORDS.fault],
  ['new', DOES_WORDS.new],
  ['change', DOES_WORDS.change],
];

/** What a list does, line by line, before it is taken in. */
export function ListPreview({
  file,
  result,
  isPending,
  onTake,
  onLeave,
}: {
  file: string;
  result: ListResultDto;
  isPending: boolean;
  onTake: () => void;
  onLeave: () => void;
}) {
  const { counts } = result;
  const [shown, setShown] = useState<Shown>('all');
  const [most, setMost] = useState(A_PAGE);
  const lines = result.lines.filter(({ does }) => shown === 'all' || does === shown);
  const doesNothing = counts.new + counts.change === 0;
  return (
    <section aria-label={`What ${file} does`} style={{ display: 'grid', gap: 10, justifyItems: 'start' }}>
      <h3>{file}</h3>
      <p role="status">
        {countsWords(counts)}{' '}
        {doesNothing && !counts.fault ? 'There is nothing to do.' : 'Nothing is written yet.'}
      </p>
      {counts.fault ? (
        <Caution title="Nothing of it can be taken in yet">
          <p>Put these lines right in the file, save it, and read it again.</p>
        </Caution>
      ) : null}
      {result.lines.length > 1 ? (
        <Choose
          fullWidth={false}
          sx={{ minWidth: 220 }}
          label="Lines"
          value={shown}
          choices={SHOWN.filter(([key]) => key === 'all' || counts[key])}
          onChange={setShown}
        />
      ) : null}
      {lines.length ? (
        <table className={table.table}>
          <thead>
            <tr>
              <th className={table.number}>Line</th>
              <th>What comes of it</th>
              <th>Article</th>
              <th>In words</th>
            </tr>
          </thead>
          <tbody>
            {lines.slice(0, most).map((line) => (
              <tr key={line.line}>
                <td className={table.number} data-label="Line:">
                  {line.line}
                </td>
                <td>
                  <b>{DOES_WORDS[line.does]}</b>
                </td>
                <td>{line.subject || '–'}</td>
                <td>
                  {lineSentences(line).map((sentence) => (
                    <div key={sentence}>{sentence}</div>
                  ))}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      ) : null}
      {lines.length > most ? (
        <Button variant="text" onClick={() => setMost(most + A_PAGE)}>
          {Math.min(A_PAGE, lines.length - most)} more of {lines.length - most}
        </Button>
      ) : null}
      <div style={{ display: 'flex', gap: 10, flexWrap: 'wrap' }}>
        {counts.fault || doesNothing ? null : (
          <Button variant="contained" color="primary" onClick={onTake} loading={isPending}>
            Take it in
          </Button>
        )}
        <Button onClick={onLeave}>{counts.fault || doesNothing ? 'Close' : 'Leave it'}</Button>
      </div>
    </section>
  );
}
