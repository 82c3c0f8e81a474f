import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { DialogButton } from '../form/DialogButton.js';
import { FormDialog } from '../form/FormDialog.js';
import { useSession } from '../session/useSession.js';
import { countWords } from '../words/figures.js';
import { readPaper } from './readPaper.js';
import type { PaperLine, PaperTyped } from './readPaper.js';

interface Props {
  readonly lines: readonly PaperLine[];
  readonly onRows: (rows: readonly Omit<PaperTyped, 'key'>[]) => void;
}

function PasteForm({ lines, onRows, onDone }: Props & { onDone: () => void }) {
  const { site } = useSession();
  const [text, setText] = useState('');
  const [tried, setTried] = useState(false);
  const pasted = readPaper(text, lines, site.dateOrder);
  const rows = pasted.flatMap((line) => ('row' in line ? [line.row] : []));
  const faults = pasted.flatMap((line) => ('fault' in line ? [`Line ${line.number}: ${line.fault}`] : []));
  const problem = pasted.length === 0 ? 'Paste at least one line.' : faults.slice(0, 5).join(' ') || null;
  return (
    <FormDialog
      title="Paste services from a spreadsheet"
      problem={tried || faults.length ? problem : null}
      problemTitle="Nothing taken over"
      submitWord={`Take over ${countWords(rows.length, 'row')}`}
      pending={false}
      onSubmit={() => {
        setTried(true);
        if (problem) return;
        onRows(rows);
        onDone();
      }}
      onLeave={onDone}
    >
      <p className="soft">
        Four columns: day, life hours, lines and a note. Several lines in one cell are parted by semicolons,
        as the schedule of the machine names them. Nothing is kept before you say so below the grid.
      </p>
      <TextField
        label="Rows"
        multiline
        minRows={5}
        maxRows={12}
        value={text}
        onChange={(event) => setText(event.target.value)}
      />
    </FormDialog>
  );
}

/** Takes rows over into the grid. */
export function PastePaper({ lines, onRows }: Props) {
  return (
    <div style={{ marginBottom: 12 }}>
      <DialogButton word="Paste rows" size="small">
        {(close) => <PasteForm lines={lines} onRows={onRows} onDone={close} />}
      </DialogButton>
    </div>
  );
}
