import Button from '@mui/material/Button';
import { useRef, useState } from 'react';
import { Caution } from '../page/Caution.js';
import type { BookDraft } from './bookDraft.js';
import { download } from './download.js';

/** Takes a book out as JSON or as the grid in CSV, and reads one in. What is read is shown first; nothing is saved by it. */
export function BookFiles({ draft, onLoad }: { draft: BookDraft; onLoad: (draft: BookDraft) => void }) {
  const input = useRef<HTMLInputElement>(null);
  const [faults, setFaults] = useState<readonly string[]>([]);
  const name = draft.name || 'book';
  const read = async (file: File | undefined) => {
    if (!file) return;
    const { readBookFile } = await import('./bookFiles.js');
    const result = readBookFile(file.name, await file.text(), draft);
    setFaults('faults' in result ? result.faults : []);
    if ('draft' in result) onLoad(result.draft);
    if (input.current) input.current.value = '';
  };
  // What reads and writes files is fetched when somebody asks for one.
  const exportJson = async () => {
    const { bookFile } = await import('./bookFiles.js');
    download(`${name}.json`, 'application/json', bookFile(draft));
  };
  const exportCsv = async () => {
    const { csvOf } = await import('./bookCsv.js');
    download(`${name}.csv`, 'text/csv', csvOf(draft));
  };
  return (
    <>
      <Button variant="text" onClick={() => void exportJson()}>
        Export JSON
      </Button>
      <Button variant="text" onClick={() => void exportCsv()}>
        Export CSV
      </Button>
      <Button variant="text" onClick={() => input.current?.click()}>
        Read a file
      </Button>
      <input
        ref={input}
        type="file"
        accept=".json,.csv"
        aria-label="File of a book"
        className="visually-hidden"
        tabIndex={-1}
        onChange={(event) => void read(event.target.files?.[0])}
      />
      {faults.length ? (
        <div style={{ flex: '1 1 100%' }}>
          <Caution title="Nothing was read">
            <ul>
              {faults.map((fault) => (
                <li key={fault}>{fault}</li>
              ))}
            </ul>
          </Caution>
        </div>
      ) : null}
    </>
  );
}
