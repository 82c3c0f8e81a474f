import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import type { BookDto, BookFieldsDto } from '@yugator/contracts';
import { useState } from 'react';
import { useController, useForm } from 'react-hook-form';
import type { Path } from 'react-hook-form';
import { useNavigate } from 'react-router';
import { ApiProblem, sentenceOf } from '../api/problem.js';
import { useWrite } from '../api/useWrite.js';
import { CLASS_WORDS } from '../machine/classWords.js';
import { Choose, choicesOf } from '../form/Choose.js';
import { Field } from '../form/Field.js';
import { readResolver } from '../form/readResolver.js';
import { Caution } from '../page/Caution.js';
import { useNotice } from '../page/Notice.js';
import { PageHead } from '../page/PageHead.js';
import { draftOf, emptyBook, emptyLine, parseColumn, withColumn } from './bookDraft.js';
import type { BookDraft } from './bookDraft.js';
import { BookFiles } from './BookFiles.js';
import styles from './books.module.css';
import { lineSentences, namedFaults, readBook } from './bookForm.js';
import type { BookForm } from './bookForm.js';
import { METER_WORDS } from './bookWords.js';
import { ChartGrid } from './ChartGrid.js';

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

function HeadFields({ form }: { form: BookForm }) {
  const machineClass = useController({ control: form.control, name: 'machineClass' });
  const meter = useController({ control: form.control, name: 'meter' });
  return (
    <div className={styles.head}>
      <Field form={form} name="name" label="Book" />
      <Choose
        label="For"
        value={machineClass.field.value}
        choices={choicesOf(CLASS_WORDS)}
        onChange={machineClass.field.onChange}
      />
      <Choose
        label="Its hours are those of the"
        value={meter.field.value}
        choices={choicesOf(METER_WORDS)}
        onChange={meter.field.onChange}
      />
    </div>
  );
}

/** What is wrong with the book: all that stands at no line, and whether any line is marked. */
function Refused({ form }: { form: BookForm }) {
  const { errors } = form.formState;
  const words = [
    errors.name?.message ?? '',
    errors.root?.message ?? '',
    lineSentences(errors).size ? 'Some lines need correcting; they are marked.' : '',
  ].filter(Boolean);
  return words.length ? (
    <Caution title="Not saved">
      <p>{words.join(' ')}</p>
    </Caution>
  ) : null;
}

/** Enters or changes a book as the chart it is printed as. */
export function BookEditor({ book }: { book: BookDto | null }) {
  const say = useNotice();
  const navigate = useNavigate();
  const form: BookForm = useForm<BookDraft, unknown, BookFieldsDto>({
    defaultValues: book ? draftOf(book) : emptyBook(),
    resolver: readResolver<BookDraft, BookFieldsDto>(readBook),
    reValidateMode: 'onSubmit',
  });
  const draft = form.watch();
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
      form.reset(draftOf(saved));
      if (!book) void navigate(`/books/${saved.id}`, { replace: true });
    },
  );
  const refuse = (error: Error) => {
    const faults = error instanceof ApiProblem ? error.faults : [];
    const named = faults.length ? namedFaults(faults) : { root: sentenceOf(error) };
    for (const [name, message] of Object.entries(named))
      form.setError(name as Path<BookDraft>, { type: 'refused', message });
  };
  const change = (next: BookDraft) => {
    form.clearErrors('lines');
    form.setValue('columns', next.columns);
    form.setValue('lines', next.lines);
  };
  const addLine = () => {
    form.setValue(`lines.${draft.lines.length}`, emptyLine(draft.columns.length, `new-${made}`));
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
        <BookFiles draft={draft} onLoad={(read) => form.reset(read)} />
      </PageHead>
      <HeadFields form={form} />
      <p className="soft" style={{ margin: '10px 0' }}>
        Copy the printed chart: arrow keys walk, E marks every, F marks first, Delete clears. A row marked at
        50, 100 and 150 means every 50 h.
      </p>
      <ChartGrid
        draft={draft}
        onChange={change}
        onLine={(row, line) => form.setValue(`lines.${row}`, line)}
        faults={lineSentences(form.formState.errors)}
      />
      <div className={styles.acts}>
        <Button onClick={addLine}>Add a line</Button>
        <AddColumn onAdd={(add) => change(add(draft))} />
        <Refused form={form} />
        <Button
          variant="contained"
          color="primary"
          loading={save.isPending}
          // No form around it: Enter in a cell of the chart must not save the book.
          onClick={() => void form.handleSubmit((fields) => save.mutate(fields, { onError: refuse }))()}
        >
          Save the book
        </Button>
      </div>
    </>
  );
}
