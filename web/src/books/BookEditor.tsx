import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import type { BookDto, BookFieldsDto } from '@yugator/contracts';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { ApiProblem, sentenceOf } from '../api/problem.js';
import { useWrite } from '../api/useWrite.js';
import { CLASS_WORDS } from '../machine/classWords.js';
import { Choose, choicesOf } from '../form/Choose.js';
import { Caution } from '../page/Caution.js';
import { useNotice } from '../page/Notice.js';
import { PageHead } from '../page/PageHead.js';
import { draftOf, emptyBook, emptyLine, fieldsOf, parseColumn, withColumn } from './bookDraft.js';
import type { BookDraft } from './bookDraft.js';
import { BookFiles } from './BookFiles.js';
import styles from './books.module.css';
import { METER_WORDS } from './bookWords.js';
import { ChartGrid } from './ChartGrid.js';

/** The faults of a refusal: those of a line by its place, and in a sentence what concerns no line. */
function faultsOf(error: Error | null): { byLine: Map<number, string>; others: string } {
  const faults = error instanceof ApiProblem ? error.faults : [];
  const byLine = new Map<number, string>();
  const others: string[] = [];
  for (const { pointer, detail } of faults) {
    const [, line] = /^#\/items\/(\d+)/.exec(pointer) ?? [];
    if (line === undefined) others.push(detail);
    else byLine.set(Number(line), [byLine.get(Number(line)), detail].filter(Boolean).join(' '));
  }
  return { byLine, others: others.join(' ') };
}

function AddColumn({ onAdd }: { onAdd: (draft: (draft: BookDraft) => BookDraft) => void }) {
  const [text, setText] = useState('');
  const [isWrong, setWrong] = useState(false);
  const add = () => {
    const column = parseColumn(text);
    setWrong(column === null);
    if (!column) return;
    onAdd((draft) => withColumn(draft, column));
    setText('');
  };
  return (
    <span className={styles.addColumn}>
      <TextField
        fullWidth={false}
        label="Another column"
        placeholder="50 h, 7 d, 6 m, 1 y"
        value={text}
        onChange={(event) => setText(event.target.value)}
        onKeyDown={(event) => {
          if (event.key !== 'Enter') return;
          event.preventDefault();
          add();
        }}
        error={isWrong}
        helperText={isWrong ? 'Type hours or a time: 50, 7 d, 6 m, 1 y.' : undefined}
        slotProps={{ inputLabel: { shrink: true } }}
      />
      <Button onClick={add}>Add column</Button>
    </span>
  );
}

function HeadFields({
  draft,
  onChange,
}: {
  draft: BookDraft;
  onChange: (change: Partial<BookDraft>) => void;
}) {
  return (
    <div className={styles.head}>
      <TextField
        label="Book"
        value={draft.name}
        onChange={(event) => onChange({ name: event.target.value })}
      />
      <Choose
        label="For"
        value={draft.machineClass}
        choices={choicesOf(CLASS_WORDS)}
        onChange={(machineClass) => onChange({ machineClass })}
      />
      <Choose
        label="Its hours are those of the"
        value={draft.meter}
        choices={choicesOf(METER_WORDS)}
        onChange={(meter) => onChange({ meter })}
      />
    </div>
  );
}

/** Enters or changes a book as the chart it is printed as. */
export function BookEditor({ book }: { book: BookDto | null }) {
  const say = useNotice();
  const navigate = useNavigate();
  const [draft, setDraft] = useState<BookDraft>(() => (book ? draftOf(book) : emptyBook()));
  const [base, setBase] = useState(book?.version ?? 0);
  const [made, setMade] = useState(1);
  const save = useWrite<BookDto, BookFieldsDto>(
    (fields) =>
      book
        ? { method: 'PUT', path: `/books/${book.id}`, body: { ...fields, version: base } }
        : { method: 'POST', path: '/books', body: fields },
    ['books', 'machines'],
    (saved) => {
      say(`${saved.name} is saved.`);
      setBase(saved.version);
      setDraft(draftOf(saved));
      if (!book) void navigate(`/books/${saved.id}`, { replace: true });
    },
  );
  const change = (part: Partial<BookDraft>) => setDraft({ ...draft, ...part });
  const { byLine, others } = faultsOf(save.error);
  const addLine = () => {
    setDraft({ ...draft, lines: [...draft.lines, emptyLine(draft.columns.length, `new-${made}`)] });
    setMade(made + 1);
  };
  return (
    <>
      <PageHead
        name={draft.name || 'New book'}
        title={draft.name || 'A new service book'}
        under={
          book?.machines.length ? `${book.machines.join(', ')} follow it.` : 'No machine follows it yet.'
        }
      >
        <BookFiles draft={draft} onLoad={setDraft} />
      </PageHead>
      <HeadFields draft={draft} onChange={change} />
      <p className="soft" style={{ margin: '10px 0' }}>
        Copy the printed chart: arrow keys walk, E marks every, F marks first, Delete clears. A row marked at
        50, 100 and 150 means every 50 h.
      </p>
      <ChartGrid draft={draft} onChange={setDraft} faults={byLine} />
      <div className={styles.acts}>
        <Button onClick={addLine}>Add a line</Button>
        <AddColumn onAdd={(add) => setDraft(add(draft))} />
        {save.error ? (
          <Caution title="Not saved">
            <p>
              {byLine.size
                ? `${others} Some lines need correcting; they are marked.`.trim()
                : sentenceOf(save.error)}
            </p>
          </Caution>
        ) : null}
        <Button
          variant="contained"
          color="primary"
          loading={save.isPending}
          onClick={() => save.mutate(fieldsOf(draft))}
        >
          Save the book
        </Button>
      </div>
    </>
  );
}
