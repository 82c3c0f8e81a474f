import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { parseTrigger } from '@yugator/core';
import type { Trigger } from '@yugator/core';
import { useState } from 'react';
import { DialogButton } from '../form/DialogButton.js';
import { FormDialog } from '../form/FormDialog.js';
import { triggerWords } from '../schedule/triggerWords.js';
import { seasonQueries } from '../season/seasonQueries.js';
import { parseFigure } from '../words/figures.js';
import type { BookDraft, DraftLine } from './bookDraft.js';
import styles from './books.module.css';

const KINDS = {
  seasonEdge: 'Before or after a season',
  everyNth: 'Each n-th time another line is done',
  storage: 'While the machine is laid up',
  onMeter: 'At whole multiples on the meter',
} as const;
type Kind = keyof typeof KINDS;

/** What is typed of a rule, whatever its kind. */
interface Typed {
  readonly kind: Kind;
  readonly season: string;
  readonly edge: 'first' | 'last';
  readonly days: string;
  readonly n: string;
  readonly other: string;
  readonly above: string;
  readonly hours: string;
}

const EMPTY: Typed = {
  ...{ kind: 'seasonEdge', season: '', edge: 'first', days: '0' },
  ...{ n: '2', other: '', above: '', hours: '50' },
};

/** The rule that was typed, or a sentence of what is missing. */
function ruleOf(typed: Typed, meter: BookDraft['meter']): Trigger | string {
  const loose = {
    seasonEdge: {
      ...{ kind: 'seasonEdge', season: typed.season || null, edge: typed.edge },
      offsetDays: parseFigure(typed.days.replace('−', '-')),
    },
    everyNth: {
      ...{ kind: 'everyNth', n: parseFigure(typed.n), itemId: typed.other },
      everyTimeAboveHours: typed.above.trim() === '' ? null : parseFigure(typed.above),
    },
    storage: { kind: 'storage', days: parseFigure(typed.days) },
    onMeter: { kind: 'everyHours', hours: parseFigure(typed.hours), meter, grid: 'onMeter' },
  }[typed.kind];
  const parsed = parseTrigger(loose);
  if ('trigger' in parsed) return parsed.trigger;
  return {
    seasonEdge: 'Give the days as a whole number, negative for days before.',
    everyNth: 'Choose the other line, and give n from 2 on.',
    storage: 'Give the days as a whole number from 1 to 366.',
    onMeter: 'Give the hours as a number, such as 50.',
  }[typed.kind];
}

interface FieldsProps {
  readonly typed: Typed;
  readonly line: DraftLine;
  readonly draft: BookDraft;
  readonly onType: (change: Partial<Typed>) => void;
}

function Figure({ label, value, onType }: { label: string; value: string; onType: (text: string) => void }) {
  return (
    <TextField
      label={label}
      value={value}
      onChange={(event) => onType(event.target.value)}
      slotProps={{ htmlInput: { autoComplete: 'off' } }}
    />
  );
}

function SeasonFields({ typed, onType }: Pick<FieldsProps, 'typed' | 'onType'>) {
  const seasons = useQuery(seasonQueries.all());
  return (
    <>
      <TextField
        label="Season"
        select
        value={typed.season}
        onChange={(event) => onType({ season: event.target.value })}
        slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
      >
        <MenuItem value="">The machine&rsquo;s own working time</MenuItem>
        {(seasons.data?.seasons ?? []).map(({ id, name }) => (
          <MenuItem key={id} value={name}>
            {name}
          </MenuItem>
        ))}
      </TextField>
      <TextField
        label="Counted from its"
        select
        value={typed.edge}
        onChange={(event) => onType({ edge: event.target.value === 'last' ? 'last' : 'first' })}
      >
        <MenuItem value="first">first day</MenuItem>
        <MenuItem value="last">last day</MenuItem>
      </TextField>
      <Figure
        label="Days after it, negative for before"
        value={typed.days}
        onType={(days) => onType({ days })}
      />
    </>
  );
}

function RuleFields({ typed, line, draft, onType }: FieldsProps) {
  switch (typed.kind) {
    case 'seasonEdge':
      return <SeasonFields typed={typed} onType={onType} />;
    case 'everyNth':
      return (
        <>
          <TextField
            label="Other line"
            select
            value={typed.other}
            onChange={(event) => onType({ other: event.target.value })}
          >
            {draft.lines
              .filter(({ key, name }) => key !== line.key && name !== '')
              .map(({ key, name }) => (
                <MenuItem key={key} value={name}>
                  {name}
                </MenuItem>
              ))}
          </TextField>
          <Figure label="Each n-th time" value={typed.n} onType={(n) => onType({ n })} />
          <Figure
            label="Every time above so many hours a year (may stay empty)"
            value={typed.above}
            onType={(above) => onType({ above })}
          />
        </>
      );
    case 'storage':
      return <Figure label="Every so many days" value={typed.days} onType={(days) => onType({ days })} />;
    case 'onMeter':
      return <Figure label="Hours" value={typed.hours} onType={(hours) => onType({ hours })} />;
  }
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
        onChange({ others, renews, windowHours, windowDays, reference: reference.trim(), note: note.trim() });
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
      <TextField
        label="A further rule"
        select
        value={typed.kind}
        onChange={(event) => setTyped({ ...typed, kind: event.target.value as Kind })}
      >
        {Object.entries(KINDS).map(([kind, word]) => (
          <MenuItem key={kind} value={kind}>
            {word}
          </MenuItem>
        ))}
      </TextField>
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
        {draft.lines
          .filter(({ key, name }) => key !== line.key && name !== '')
          .map(({ key, name }) => (
            <MenuItem key={key} value={name}>
              {name}
            </MenuItem>
          ))}
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
