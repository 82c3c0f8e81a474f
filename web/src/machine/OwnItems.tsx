import Button from '@mui/material/Button';
import { OwnItemFieldsDto, SettledComponentsDto } from '@yugator/contracts';
import type { BookItemDto, BookItemFieldsDto, MachineDetailDto, UpdateOwnItemsDto } from '@yugator/contracts';
import { withIntervals } from '@yugator/core';
import { sentenceOf } from '../api/problem.js';
import { useWrite } from '../api/useWrite.js';
import { ACTION_WORDS } from '../books/bookWords.js';
import { ComponentsField } from '../component/ComponentsField.js';
import { ChoiceField } from '../form/ChoiceField.js';
import { choicesOf } from '../form/Choose.js';
import { DialogButton } from '../form/DialogButton.js';
import { Field } from '../form/Field.js';
import { FormDialog } from '../form/FormDialog.js';
import { useDtoForm } from '../form/useDtoForm.js';
import { Caution } from '../page/Caution.js';
import { useNotice } from '../page/Notice.js';
import { ruleWords } from '../schedule/triggerWords.js';

function itemOf({ hours, days, months, ...fields }: OwnItemFieldsDto): BookItemFieldsDto {
  return {
    ...fields,
    triggers: withIntervals([], { meter: 'engine', hours, days, months }),
    renews: [],
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
  const form = useDtoForm(OwnItemFieldsDto, {
    name: '',
    action: 'inspect',
    components: [],
    hours: null,
    months: null,
    days: null,
    minutes: 10,
  });
  const write = useOwnItems(machine, 'item added', onDone);
  const interval = (name: 'hours' | 'months' | 'days', of: string, placeholder: string) => (
    <Field
      form={form}
      name={name}
      label={`Every so many ${of}`}
      figure="optional"
      placeholder={placeholder}
    />
  );
  return (
    <FormDialog
      title={`${machine.tag}: an item of its own`}
      problem={form.problem}
      submitWord="Add"
      pending={write.isPending}
      onSubmit={form.handleSubmit((typed) =>
        write.mutate([...machine.ownItems, itemOf(typed)], { onError: form.refuse }),
      )}
      onLeave={onDone}
    >
      <Field form={form} name="name" label="Item" placeholder="Beacon and decals: look over" />
      <ChoiceField form={form} name="action" label="What is done" choices={choicesOf(ACTION_WORDS)} />
      <ComponentsField form={form} name="components" machineClass={machine.machineClass} />
      <p className="soft">At least one interval; with several, the first to come counts.</p>
      {interval('hours', 'hours', '50')}
      {interval('months', 'months', '12')}
      {interval('days', 'days', '7')}
      <Field form={form} name="minutes" label="Minutes" figure />
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
  const form = useDtoForm(SettledComponentsDto, { components: [] });
  const write = useOwnItems(machine, 'item settled', onDone);
  return (
    <FormDialog
      title={`${machine.tag}: ${item.name}`}
      problem={form.problem}
      submitWord="Keep"
      pending={write.isPending}
      onSubmit={form.handleSubmit(({ components }) =>
        write.mutate(
          machine.ownItems.map((each) => (each.id === item.id ? { ...each, components } : each)),
          { onError: form.refuse },
        ),
      )}
      onLeave={onDone}
    >
      <p>It was done to “{item.component}”.</p>
      <ComponentsField form={form} name="components" machineClass={machine.machineClass} />
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
