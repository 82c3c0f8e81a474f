import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import type { FormEvent } from 'react';
import { sentenceOf } from '../api/problem.js';
import { Caution } from '../page/Caution.js';
import { parseFigure } from '../words/figures.js';
import { allCorrections, keyOf, withoutLine, withValue } from './corrections.js';
import type { Correction } from './corrections.js';
import type { Entry } from './entry.js';
import { outbox } from './outbox.js';
import styles from './outbox.module.css';

interface FieldProps {
  readonly correction: Correction;
  /** what is said above of the whole */
  readonly said: string;
  readonly typed: string;
  readonly isWrong: boolean;
  readonly onType: (typed: string) => void;
}

function CorrectionField({ correction, said, typed, isWrong, onType }: FieldProps) {
  const { kind, detail } = correction;
  return (
    <TextField
      label={kind === 'figure' ? 'Put right: figure' : 'Put right: words'}
      value={typed}
      onChange={({ target }) => onType(target.value)}
      error={isWrong}
      helperText={isWrong ? 'Type a figure, such as 1196.7.' : detail === said ? undefined : detail}
      multiline={kind === 'words'}
      slotProps={kind === 'figure' ? { htmlInput: { inputMode: 'decimal', className: 'fig' } } : {}}
    />
  );
}

/** A write that came back: what is at fault can be put right where it lies, and the write sent again. */
export function PutRight({ entry }: { entry: Entry }) {
  const corrections = allCorrections(entry.body, entry.refused?.errors ?? []);
  const fields = corrections.filter(({ kind }) => kind === 'figure' || kind === 'words');
  const acts = corrections.filter(({ kind }) => kind === 'confirm' || kind === 'leaveOut');
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({});
  const [problem, setProblem] = useState<string | null>(null);
  const typedOf = (field: Correction) => typed[keyOf(field)] ?? field.value;
  const isWrong = (field: Correction) => field.kind === 'figure' && Number.isNaN(parseFigure(typedOf(field)));
  const put = async (body: unknown, words: readonly string[]) => {
    const lines = [...entry.typed.lines, ...words.filter(Boolean)];
    try {
      await outbox.putRight(entry.key, body, { ...entry.typed, lines });
    } catch (error) {
      setProblem(sentenceOf(error));
    }
  };
  const send = (event: FormEvent) => {
    event.preventDefault();
    if (fields.some(isWrong)) return;
    const body = fields.reduce<unknown>(
      (before, field) =>
        withValue(before, field.path, field.kind === 'figure' ? parseFigure(typedOf(field)) : typedOf(field)),
      entry.body,
    );
    const changed = fields.filter((field) => typedOf(field) !== field.value);
    void put(
      body,
      changed.map((field) => `put right: ${typedOf(field)}`),
    );
  };
  const act = ({ kind, path }: Correction) =>
    kind === 'confirm'
      ? put(withValue(entry.body, path, true), ['It is right'])
      : put(withoutLine(entry.body, path), ['a line left out']);
  return (
    <form className={styles.right} onSubmit={send} noValidate>
      {fields.map((field) => (
        <CorrectionField
          key={keyOf(field)}
          correction={field}
          said={entry.refused?.detail ?? ''}
          typed={typedOf(field)}
          isWrong={isWrong(field)}
          onType={(now) => setTyped((before) => ({ ...before, [keyOf(field)]: now }))}
        />
      ))}
      {problem ? (
        <Caution title="Not kept">
          <p>{problem}</p>
        </Caution>
      ) : null}
      <div className={styles.acts}>
        {acts.map((each) => (
          <Button key={keyOf(each)} onClick={() => void act(each)}>
            {each.kind === 'confirm' ? 'It is right, send it' : 'Leave that line out and send'}
          </Button>
        ))}
        <Button type="submit" variant={fields.length ? 'contained' : 'outlined'} color="primary">
          Send again
        </Button>
      </div>
    </form>
  );
}
