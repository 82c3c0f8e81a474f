import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { consequenceOf, CONSEQUENCES } from '@yugator/core';
import { useState } from 'react';
import { Choose, choicesOf } from '../form/Choose.js';
import { DialogButton } from '../form/DialogButton.js';
import { FormDialog } from '../form/FormDialog.js';
import { triggerWords } from '../schedule/triggerWords.js';
import { parseFigure } from '../words/figures.js';
import type { BookDraft, DraftLine } from './bookDraft.js';
import { CONSEQUENCE_WORDS } from './bookWords.js';
import styles from './books.module.css';
import { EMPTY, Figure, KINDS, otherLines, RuleFields, ruleOf } from './RuleFields.js';
import type { Typed } from './RuleFields.js';

function usualConsequence({ action, components }: DraftLine): string {
  return consequenceOf({ action, components, consequence: null });
}

interface Props {
  readonly line: DraftLine;
  readonly draft: BookDraft;
  readonly onChange: (change: Partial<DraftLine>) => void;
}

function textOf(figure: number | null): string {
  return figure === null ? '' : String(figure);
}

function figureOf(text: string): number | null {
  return text.trim() === '' ? null : parseFigure(text);
}

function RulesForm({ line, draft, onChange, onDone }: Props & { onDone: () => void }) {
  const [others, setOthers] = useState(line.others);
  const [reference, setReference] = useState(line.reference);
  const [note, setNote] = useState(line.note);
  const [renews, setRenews] = useState(line.renews);
  const [window, setWindow] = useState({ hours: textOf(line.windowHours), days: textOf(line.windowDays) });
  const [consequence, setConsequence] = useState(line.consequence);
  const [typed, setTyped] = useState<Typed>(EMPTY);
  const [problem, setProblem] = useState<string | null>(null);
  const add = () => {
    const rule = ruleOf(typed, draft.meter);
    setProblem(typeof rule === 'string' ? rule : null);
    if (typeof rule !== 'string') setOthers([...others, rule]);
  };
  return (
    <FormDialog
      title={`${line.name || 'This line'}: further rules, reference and note`}
      problem={problem}
      problemTitle="Not yet"
      submitWord="Keep"
      pending={false}
      onSubmit={() => {
        const [windowHours, windowDays] = [figureOf(window.hours), figureOf(window.days)];
        if (Number.isNaN(windowHours) || Number.isNaN(windowDays)) {
          setProblem('Give the hours and days of the window as figures, or leave them empty.');
          return;
        }
        const words = { reference: reference.trim(), note: note.trim() };
        onChange({ others, renews, windowHours, windowDays, consequence, ...words });
        onDone();
      }}
      onLeave={onDone}
    >
      {others.map((rule, index) => (
        <p key={index}>
          {triggerWords(rule, (name) => name)}{' '}
          <Button size="small" onClick={() => setOthers(others.filter((_rule, each) => each !== index))}>
            Take out
          </Button>
        </p>
      ))}
      <Choose
        label="A further rule"
        value={typed.kind}
        choices={choicesOf(KINDS)}
        onChange={(kind) => setTyped({ ...typed, kind })}
      />
      <RuleFields
        typed={typed}
        line={line}
        draft={draft}
        onType={(change) => setTyped({ ...typed, ...change })}
      />
      <Button onClick={add}>Add the rule</Button>
      <TextField
        label="Doing it does these as well"
        select
        value={renews}
        onChange={(event) => setRenews([event.target.value].flat())}
        slotProps={{ select: { multiple: true }, inputLabel: { shrink: true } }}
        helperText="Besides the weaker ones on its component: replacing is more than cleaning, cleaning more than looking"
      >
        {otherLines(draft, line)}
      </TextField>
      <Figure
        label="Ripe so many hours before (empty: a tenth, 1 to 10 h)"
        value={window.hours}
        onType={(hours) => setWindow({ ...window, hours })}
      />
      <Figure
        label="Ripe so many days before (empty: a tenth, 1 to 14)"
        value={window.days}
        onType={(days) => setWindow({ ...window, days })}
      />
      <TextField
        label="What lateness costs"
        select
        value={consequence ?? ''}
        onChange={(event) => setConsequence(CONSEQUENCES.find((each) => each === event.target.value) ?? null)}
        slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
        helperText="Decides what comes first among what is late"
      >
        <MenuItem value="">As usual for its component ({usualConsequence(line)})</MenuItem>
        {CONSEQUENCES.map((each) => (
          <MenuItem key={each} value={each}>
            {CONSEQUENCE_WORDS[each]}
          </MenuItem>
        ))}
      </TextField>
      <TextField
        label="Where the book says so"
        placeholder="engine book, p. 31"
        value={reference}
        onChange={(event) => setReference(event.target.value)}
        slotProps={{ inputLabel: { shrink: true }, htmlInput: { maxLength: 80 } }}
      />
      <TextField
        label="How the shop reads it"
        value={note}
        multiline
        onChange={(event) => setNote(event.target.value)}
        slotProps={{ htmlInput: { maxLength: 300 } }}
      />
    </FormDialog>
  );
}

/** Rules of a line that no column holds, its reference and its note. */
export function LineRules(props: Props) {
  const { line } = props;
  return (
    <span className={styles.more}>
      {' '}
      {line.reference ? <span className="soft">{line.reference}. </span> : null}
      {line.note ? <span className="soft">{line.note} </span> : null}
      <DialogButton word="More" size="small" variant="text" label={`More of ${line.name || 'this line'}`}>
        {(close) => <RulesForm {...props} onDone={close} />}
      </DialogButton>
    </span>
  );
}
