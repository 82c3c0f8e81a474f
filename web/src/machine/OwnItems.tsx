import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { BookItemDto, BookItemFieldsDto, MachineDetailDto, UpdateOwnItemsDto } from '@yugator/contracts';
import { ACTIONS } from '@yugator/core';
import type { Component, Trigger } from '@yugator/core';
import { useState } from 'react';
import { sentenceOf } from '../api/problem.js';
import { useWrite } from '../api/useWrite.js';
import { ACTION_WORDS } from '../books/bookWords.js';
import { ComponentsPick } from '../component/ComponentPick.js';
import { DialogButton } from '../form/DialogButton.js';
import { FormDialog } from '../form/FormDialog.js';
import { Caution } from '../page/Caution.js';
import { useNotice } from '../page/Notice.js';
import { ruleWords } from '../schedule/triggerWords.js';
import { parseFigure } from '../words/figures.js';

/** An item as it is typed. */
interface Typed {
  readonly name: string;
  readonly action: BookItemFieldsDto['action'];
  readonly components: readonly Component[];
  readonly hours: string;
  readonly months: string;
  readonly days: string;
  readonly minutes: string;
}

const EMPTY: Typed = {
  name: '',
  action: 'inspect',
  components: [],
  hours: '',
  months: '',
  days: '',
  minutes: '10',
};

function intervalsOf({ hours, months, days }: Typed): Trigger[] {
  const calendar = (text: string, unit: 'day' | 'month'): Trigger[] =>
    text.trim() === '' ? [] : [{ kind: 'everyCalendar', count: parseFigure(text), unit, inUse: null }];
  return [
    ...(hours.trim() === ''
      ? []
      : [{ kind: 'everyHours', hours: parseFigure(hours), meter: 'engine', grid: null } as const]),
    ...calendar(months, 'month'),
    ...calendar(days, 'day'),
  ];
}

function itemOf(typed: Typed): BookItemFieldsDto {
  const { name, action, components, minutes } = typed;
  return {
    name,
    action,
    components: [...components],
    triggers: intervalsOf(typed),
    renews: [],
    minutes: parseFigure(minutes),
    reference: '',
    note: '',
    windowHours: null,
    windowDays: null,
  };
}

function useOwnItems(machine: MachineDetailDto, done: string, onDone?: () => void) {
  const say = useNotice();
  return useWrite<MachineDetailDto, BookItemFieldsDto[]>(
    (items) => ({
      method: 'PUT',
      path: `/machines/${machine.id}/items`,
      body: { items, version: machine.version } satisfies UpdateOwnItemsDto,
    }),
    ['machines'],
    () => {
      say(`${machine.tag}: ${done}.`);
      onDone?.();
    },
  );
}

function ItemForm({ machine, onDone }: { machine: MachineDetailDto; onDone: () => void }) {
  const [typed, setTyped] = useState<Typed>(EMPTY);
  const write = useOwnItems(machine, 'item added', onDone);
  const field = (key: Exclude<keyof Typed, 'action' | 'components'>, label: string, example = '') => (
    <TextField
      label={label}
      placeholder={example}
      value={typed[key]}
      onChange={(event) => setTyped({ ...typed, [key]: event.target.value })}
      slotProps={{ htmlInput: { autoComplete: 'off' }, inputLabel: { shrink: true } }}
    />
  );
  return (
    <FormDialog
      title={`${machine.tag}: an item of its own`}
      problem={write.error ? sentenceOf(write.error) : null}
      submitWord="Add"
      pending={write.isPending}
      onSubmit={() => write.mutate([...machine.ownItems, itemOf(typed)])}
      onLeave={onDone}
    >
      {field('name', 'Item', 'Beacon and decals: look over')}
      <TextField
        label="What is done"
        select
        value={typed.action}
        onChange={(event) =>
          setTyped({ ...typed, action: ACTIONS.find((action) => action === event.target.value) ?? 'inspect' })
        }
      >
        {ACTIONS.map((action) => (
          <MenuItem key={action} value={action}>
            {ACTION_WORDS[action]}
          </MenuItem>
        ))}
      </TextField>
      <ComponentsPick
        label="Done to"
        machineClass={machine.machineClass}
        value={typed.components}
        onChange={(components) => setTyped({ ...typed, components })}
      />
      <p className="soft">At least one interval; with several, the first to come counts.</p>
      {field('hours', 'Every so many hours', '50')}
      {field('months', 'Every so many months', '12')}
      {field('days', 'Every so many days', '7')}
      {field('minutes', 'Minutes')}
    </FormDialog>
  );
}

/** Says what an item of an older version is done to, which called it in words of its own. */
function SettleForm({
  machine,
  item,
  onDone,
}: {
  machine: MachineDetailDto;
  item: BookItemDto;
  onDone: () => void;
}) {
  const [components, setComponents] = useState<Component[]>([]);
  const [isMissing, setMissing] = useState(false);
  const write = useOwnItems(machine, 'item settled', onDone);
  const keep = () => {
    setMissing(components.length === 0);
    if (components.length)
      write.mutate(machine.ownItems.map((each) => (each.id === item.id ? { ...each, components } : each)));
  };
  return (
    <FormDialog
      title={`${machine.tag}: ${item.name}`}
      problem={write.error ? sentenceOf(write.error) : null}
      submitWord="Keep"
      pending={write.isPending}
      onSubmit={keep}
      onLeave={onDone}
    >
      <p>It was done to “{item.component}”.</p>
      <ComponentsPick
        label="Done to"
        machineClass={machine.machineClass}
        fault={isMissing && components.length === 0 ? 'Choose what it is done to.' : undefined}
        value={components}
        onChange={setComponents}
      />
    </FormDialog>
  );
}

/** What this machine gets besides its books. */
export function OwnItems({ machine }: { machine: MachineDetailDto }) {
  const drop = useOwnItems(machine, 'item taken out');
  return (
    <section
      aria-label="Items of its own"
      style={{ display: 'grid', gap: 8, justifyItems: 'start', marginBottom: 20 }}
    >
      <h2>Items of its own</h2>
      {machine.ownItems.length === 0 ? <p className="soft">None: its books say it all.</p> : null}
      {drop.error ? <Caution title="Not changed">{<p>{sentenceOf(drop.error)}</p>}</Caution> : null}
      {machine.ownItems.map((item) => (
        <p key={item.id}>
          <b>{item.name}</b>: {ruleWords(item.triggers, (name) => name)}{' '}
          {item.components?.length ? null : (
            <DialogButton word={`Say what ${item.name} is done to`} size="small">
              {(close) => <SettleForm machine={machine} item={item} onDone={close} />}
            </DialogButton>
          )}
          <Button
            size="small"
            onClick={() => drop.mutate(machine.ownItems.filter(({ id }) => id !== item.id))}
            aria-label={`Take out ${item.name}`}
          >
            Take out
          </Button>
        </p>
      ))}
      <DialogButton word="Add an item" size="small">
        {(close) => <ItemForm machine={machine} onDone={close} />}
      </DialogButton>
    </section>
  );
}
