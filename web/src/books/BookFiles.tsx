import Button from '@mui/material/Button';
import { useState } from 'react';
import { FileButton } from '../form/FileButton.js';
import { Caution } from '../page/Caution.js';
import type { BookDraft } from './bookDraft.js';
import { download } from './download.js';

/** Takes a book out as JSON or as the grid in CSV, and reads one in. What is read is shown first; nothing is saved by it. */
export function BookFiles({ draft, onLoad }: { draft: BookDraft; onLoad: (draft: BookDraft) => void }) {
  const [faults, setFaults] = useState<readonly string[]>([]);
  const name = draft.name || 'book';
  const read = async (file: File) => {
    const { readBookFile } = await import('./bookFiles.js');
    const result = readBookFile(file.name, await file.text(), draft);
    setFaults('faults' in result ? result.faults : []);
    if ('draft' in result) onLoad(result.draft);
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
      <FileButton variant="text" label="File of a book" accept=".json,.csv" onFile={read}>
        Read a file
      </FileButton>
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
