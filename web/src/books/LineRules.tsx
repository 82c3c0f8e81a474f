import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { LineRulesDto } from '@yugator/contracts';
import { consequenceOf, CONSEQUENCES, WORK_PLACES, workPlaceOf } from '@yugator/core';
import type { Trigger, WorkPlace } from '@yugator/core';
import { useState } from 'react';
import { useController } from 'react-hook-form';
import type { UseFormReturn } from 'react-hook-form';
import { Choose, choicesOf } from '../form/Choose.js';
import { DialogButton } from '../form/DialogButton.js';
import { Field } from '../form/Field.js';
import { FormDialog } from '../form/FormDialog.js';
import { useDtoForm } from '../form/useDtoForm.js';
import { Caution } from '../page/Caution.js';
import { triggerWords } from '../schedule/triggerWords.js';
import { triggersOf } from './bookDraft.js';
import type { BookDraft, DraftLine } from './bookDraft.js';
import { CONSEQUENCE_WORDS } from './bookWords.js';
import styles from './books.module.css';
import { EMPTY, KINDS, otherLines, RuleFields, ruleOf } from './RuleFields.js';
import type { Typed } from './RuleFields.js';

function usualConsequence({ action, components }: DraftLine): string {
  return consequenceOf({ action, components, consequence: null });
}

interface Props {
  readonly line: DraftLine;
  readonly draft: BookDraft;
  readonly onChange: (change: Partial<DraftLine>) => void;
}

/** The rules that no column holds: those of the line, and a further one to be typed. */
function FurtherRules({
  line,
  draft,
  others,
  onChange,
}: Pick<Props, 'line' | 'draft'> & { others: readonly Trigger[]; onChange: (others: Trigger[]) => void }) {
  const [typed, setTyped] = useState<Typed>(EMPTY);
  const [problem, setProblem] = useState<string | null>(null);
  const add = () => {
    const rule = ruleOf(typed, draft.meter);
    setProblem(typeof rule === 'string' ? rule : null);
    if (typeof rule !== 'string') onChange([...others, rule]);
  };
  return (
    <>
      {others.map((rule, index) => (
        <p key={index}>
          {triggerWords(rule, (name) => name)}{' '}
          <Button size="small" onClick={() => onChange(others.filter((_rule, each) => each !== index))}>
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
      {problem ? (
        <Caution title="Not yet">
          <p>{problem}</p>
        </Caution>
      ) : null}
      <Button onClick={add}>Add the rule</Button>
    </>
  );
}

const PLACE_WORDS: Record<WorkPlace, string> = { walk: 'on the walk-round', visit: 'in a visit' };

/** Where a line is done while it says nothing, by how often it comes and how long it takes. */
function usualPlace(line: DraftLine, draft: BookDraft): string {
  const timed = { triggers: triggersOf(line, draft), dutyFactor: 1 };
  return PLACE_WORDS[workPlaceOf(timed, Number(line.minutes), null)];
}

/** What doing a line renews besides the weaker ones on its component, and what lateness of it costs. */
function LineChoices({
  form,
  line,
  draft,
}: Pick<Props, 'line' | 'draft'> & { form: UseFormReturn<LineRulesDto> }) {
  const renews = useController({ control: form.control, name: 'renews' });
  const consequence = useController({ control: form.control, name: 'consequence' });
  const doneIn = useController({ control: form.control, name: 'doneIn' });
  return (
    <>
      <TextField
        label="Doing it does these as well"
        select
        value={renews.field.value}
        onChange={(event) => renews.field.onChange([event.target.value].flat())}
        error={renews.fieldState.error !== undefined}
        slotProps={{ select: { multiple: true }, inputLabel: { shrink: true } }}
        helperText={
          renews.fieldState.error?.message ??
          'Besides the weaker ones on its component: replacing is more than cleaning, cleaning more than looking'
        }
      >
        {otherLines(draft, line)}
      </TextField>
      <TextField
        label="What lateness costs"
        select
        value={consequence.field.value ?? ''}
        onChange={(event) =>
          consequence.field.onChange(CONSEQUENCES.find((each) => each === event.target.value) ?? null)
        }
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
        label="Where it is done"
        select
        value={doneIn.field.value ?? ''}
        onChange={(event) =>
          doneIn.field.onChange(WORK_PLACES.find((each) => each === event.target.value) ?? null)
        }
        slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
        helperText="A walk-round needs no job"
      >
        <MenuItem value="">As usual ({usualPlace(line, draft)})</MenuItem>
        {WORK_PLACES.map((each) => (
          <MenuItem key={each} value={each}>
            {PLACE_WORDS[each]}
          </MenuItem>
        ))}
      </TextField>
    </>
  );
}

function RulesForm({ line, draft, onChange, onDone }: Props & { onDone: () => void }) {
  const [others, setOthers] = useState(line.others);
  const { renews, reference, note, windowHours, windowDays, consequence, doneIn } = line;
  const form = useDtoForm(LineRulesDto, {
    renews: [...renews],
    reference,
    note,
    windowHours,
    windowDays,
    consequence,
    doneIn,
  });
  return (
    <FormDialog
      title={`${line.name || 'This line'}: further rules, reference and note`}
      problem={form.problem}
      submitWord="Keep"
      pending={false}
      onSubmit={form.handleSubmit((kept) => {
        onChange({ ...kept, others, consequence: kept.consequence ?? null, doneIn: kept.doneIn ?? null });
        onDone();
      })}
      onLeave={onDone}
    >
      <FurtherRules line={line} draft={draft} others={others} onChange={setOthers} />
      <Field
        form={form}
        name="windowHours"
        label="Ripe so many hours before (empty: a tenth, 1 to 10 h)"
        figure="optional"
      />
      <Field
        form={form}
        name="windowDays"
        label="Ripe so many days before (empty: a tenth, 1 to 14)"
        figure="optional"
      />
      <LineChoices form={form} line={line} draft={draft} />
      <Field form={form} name="reference" label="Where the book says so" placeholder="engine book, p. 31" />
      <Field form={form} name="note" label="How the shop reads it" multiline />
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
