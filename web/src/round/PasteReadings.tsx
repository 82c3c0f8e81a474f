import TextField from '@mui/material/TextField';
import type { RoundMeterDto } from '@yugator/contracts';
import { useState } from 'react';
import { DialogButton } from '../form/DialogButton.js';
import { FormDialog } from '../form/FormDialog.js';
import table from '../page/table.module.css';
import { countWords, hoursWords } from '../words/figures.js';
import { judgeTyped } from './judge.js';
import { readPasted } from './readPasted.js';
import type { PastedLine } from './readPasted.js';
import { useNow } from './useNow.js';
import { verdictWords } from './verdictWords.js';

interface Props {
  readonly meters: readonly RoundMeterDto[];
  readonly onType: (key: string, typed: string) => void;
}

/** What will happen to a line. */
function lineWords(
  line: PastedLine,
  meters: readonly RoundMeterDto[],
  now: ReturnType<typeof useNow>,
): string {
  if ('fault' in line) return line.fault;
  const meter = meters.find(({ key }) => key === line.key);
  return meter ? verdictWords(judgeTyped(line.typed, meter, now)) : '';
}

function Preview({ lines, meters }: { lines: readonly PastedLine[]; meters: readonly RoundMeterDto[] }) {
  const now = useNow();
  if (lines.length === 0) return null;
  return (
    <div
      className={table.scroll}
      style={{ maxHeight: 300 }}
      tabIndex={0}
      role="region"
      aria-label="What will happen"
    >
      <table className={table.table}>
        <thead>
          <tr>
            <th>Line</th>
            <th>Meter</th>
            <th className={table.number}>Hours</th>
            <th>What will happen</th>
          </tr>
        </thead>
        <tbody>
          {lines.map((line) => {
            const meter = 'key' in line ? meters.find(({ key }) => key === line.key) : undefined;
            const last = meter?.readings.at(-1);
            return (
              <tr key={line.number}>
                <td>{line.number}</td>
                <td>{meter ? `${meter.tag} ${meter.name}` : line.text}</td>
                <td className={table.number}>{'typed' in line ? line.typed : ''}</td>
                <td>
                  {lineWords(line, meters, now)}
                  {last ? <span className="soft"> (last {hoursWords(last.shown)})</span> : null}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}

function PasteForm({ meters, onType, onDone }: Props & { onDone: () => void }) {
  const [text, setText] = useState('');
  const [tried, setTried] = useState(false);
  const lines = readPasted(text, meters);
  const good = lines.flatMap((line) => ('key' in line ? [line] : []));
  const bad = lines.length - good.length;
  const problem =
    lines.length === 0
      ? 'Paste at least one line.'
      : bad
        ? `${countWords(bad, 'line')} cannot be read; correct or take them out.`
        : null;
  return (
    <FormDialog
      title="Paste a column of readings"
      problem={tried ? problem : null}
      problemTitle="Nothing taken over"
      submitWord={`Take over ${countWords(good.length, 'reading')}`}
      pending={false}
      onSubmit={() => {
        setTried(true);
        if (problem) return;
        for (const { key, typed } of good) onType(key, typed);
        onDone();
      }}
      onLeave={onDone}
    >
      <p className="soft">
        Two columns, tag and hours, as a table or CSV file has them; or hours alone, in walking order. They
        are put into the round, where nothing is kept before you say so.
      </p>
      <TextField
        label="Lines"
        multiline
        minRows={5}
        maxRows={12}
        value={text}
        onChange={(event) => setText(event.target.value)}
        placeholder={'M-07; 412.6\nT-02; 1361.2'}
        slotProps={{ inputLabel: { shrink: true } }}
      />
      <Preview lines={lines} meters={meters} />
    </FormDialog>
  );
}

/** Takes over readings from a table, after saying line by line what will happen. */
export function PasteReadings({ meters, onType }: Props) {
  return (
    <div style={{ marginBottom: 12 }}>
      <DialogButton word="Paste readings" size="small">
        {(close) => <PasteForm meters={meters} onType={onType} onDone={close} />}
      </DialogButton>
    </div>
  );
}
