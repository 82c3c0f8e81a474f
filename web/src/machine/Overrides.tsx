import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { MachineDetailDto, OverrideDto, OverrideFieldsDto } from '@yugator/contracts';
import type { Trigger } from '@yugator/core';
import { useState } from 'react';
import { sentenceOf } from '../api/problem.js';
import { useWrite } from '../api/useWrite.js';
import { DialogButton } from '../form/DialogButton.js';
import { FormDialog } from '../form/FormDialog.js';
import { Caution } from '../page/Caution.js';
import { useNotice } from '../page/Notice.js';
import { ruleWords } from '../schedule/triggerWords.js';
import { intervalWords, parseFigure } from '../words/figures.js';

/** What a departure from the book is typed as; an empty field stays as the book has it. */
interface Typed {
  readonly itemId: string;
  readonly isOmitted: boolean;
  readonly dutyFactor: string;
  readonly hours: string;
  readonly months: string;
  readonly reason: string;
}

function figureOrNothing(text: string): number | null {
  return text.trim() === '' ? null : parseFigure(text);
}

/** Intervals of this machine's own, or null where both fields stayed empty. */
function triggersOf({ hours, months }: Typed): Trigger[] | null {
  const [everyHours, everyMonths] = [figureOrNothing(hours), figureOrNothing(months)];
  const triggers: Trigger[] = [
    ...(everyHours === null
      ? []
      : [{ kind: 'everyHours', hours: everyHours, meter: 'engine', grid: null } as const]),
    ...(everyMonths === null
      ? []
      : [{ kind: 'everyCalendar', count: everyMonths, unit: 'month', inUse: null } as const]),
  ];
  return triggers.length ? triggers : null;
}

function OverrideForm({ machine, onDone }: { machine: MachineDetailDto; onDone: () => void }) {
  const say = useNotice();
  const [typed, setTyped] = useState<Typed>({
    itemId: machine.lines[0]?.itemId ?? '',
    isOmitted: false,
    dutyFactor: '',
    hours: '',
    months: '',
    reason: '',
  });
  const type = (change: Partial<Typed>) => setTyped({ ...typed, ...change });
  const write = useWrite<MachineDetailDto, OverrideFieldsDto>(
    (body) => ({ method: 'PUT', path: `/machines/${machine.id}/overrides/${typed.itemId}`, body }),
    ['machines'],
    () => {
      say(`${machine.tag} departs from its book there.`);
      onDone();
    },
  );
  const field = (key: 'dutyFactor' | 'hours' | 'months' | 'reason', label: string) => (
    <TextField
      label={label}
      value={typed[key]}
      onChange={(event) => type({ [key]: event.target.value })}
      slotProps={{ htmlInput: { autoComplete: 'off' } }}
    />
  );
  return (
    <FormDialog
      title={`${machine.tag}: depart from its book`}
      problem={write.error ? sentenceOf(write.error) : null}
      submitWord="Keep"
      pending={write.isPending}
      onSubmit={() =>
        write.mutate({
          isOmitted: typed.isOmitted,
          reason: typed.reason,
          triggers: triggersOf(typed),
          dutyFactor: figureOrNothing(typed.dutyFactor),
          windowHours: null,
          windowDays: null,
        })
      }
      onLeave={onDone}
    >
      <TextField
        label="Line"
        select
        value={typed.itemId}
        onChange={(event) => type({ itemId: event.target.value })}
      >
        {machine.lines.map((line) => (
          <MenuItem key={line.itemId} value={line.itemId}>
            {line.itemName}
          </MenuItem>
        ))}
      </TextField>
      <FormControlLabel
        label="This machine has no such part"
        control={<Checkbox checked={typed.isOmitted} onChange={(_event, isOmitted) => type({ isOmitted })} />}
      />
      {typed.isOmitted ? null : (
        <>
          <p className="soft">What stays empty is as the book has it.</p>
          {field('dutyFactor', 'Duty factor: 0.5 in dust halves its hours')}
          {field('hours', 'Every so many hours')}
          {field('months', 'Every so many months')}
        </>
      )}
      {field('reason', 'Why')}
    </FormDialog>
  );
}

function overrideWords({ isOmitted, triggers, dutyFactor }: OverrideDto): string {
  if (isOmitted) return 'not on this machine';
  return [
    triggers ? ruleWords(triggers) : '',
    dutyFactor === null ? '' : `its hours times ${intervalWords(dutyFactor)}`,
  ]
    .filter(Boolean)
    .join(', ');
}

/** Where the machine departs from its books, and why. */
export function Overrides({ machine }: { machine: MachineDetailDto }) {
  const say = useNotice();
  const drop = useWrite<MachineDetailDto, string>(
    (itemId) => ({ method: 'DELETE', path: `/machines/${machine.id}/overrides/${itemId}` }),
    ['machines'],
    () => say(`${machine.tag} follows its book there again.`),
  );
  return (
    <section
      aria-label="Departures from the books"
      style={{ display: 'grid', gap: 8, justifyItems: 'start' }}
    >
      <h2>Departures from the books</h2>
      {machine.overrides.length === 0 ? (
        <p className="soft">None: it follows its books line by line.</p>
      ) : null}
      {drop.error ? <Caution title="Not changed">{<p>{sentenceOf(drop.error)}</p>}</Caution> : null}
      {machine.overrides.map((override) => (
        <p key={override.itemId}>
          <b>{override.itemName}</b>: {overrideWords(override)}{' '}
          <span className="soft">({override.reason})</span>{' '}
          <Button
            size="small"
            onClick={() => drop.mutate(override.itemId)}
            aria-label={`Follow the book again: ${override.itemName}`}
          >
            Follow the book again
          </Button>
        </p>
      ))}
      {machine.lines.length ? (
        <DialogButton word="Depart from a line" size="small">
          {(close) => <OverrideForm machine={machine} onDone={close} />}
        </DialogButton>
      ) : null}
    </section>
  );
}
