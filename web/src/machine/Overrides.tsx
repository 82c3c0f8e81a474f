import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import { DepartureFieldsDto } from '@yugator/contracts';
import type { MachineDetailDto, OverrideDto, OverrideFieldsDto } from '@yugator/contracts';
import { shownValue, withIntervals } from '@yugator/core';
import type { MeterName } from '@yugator/core';
import type { UseFormReturn } from 'react-hook-form';
import { sentenceOf } from '../api/problem.js';
import { useWrite } from '../api/useWrite.js';
import { METER_WORDS } from '../books/bookWords.js';
import { DialogButton } from '../form/DialogButton.js';
import { Field } from '../form/Field.js';
import { QuantityField } from '../form/QuantityField.js';
import { FormDialog } from '../form/FormDialog.js';
import { useDtoForm } from '../form/useDtoForm.js';
import { Caution } from '../page/Caution.js';
import { useNotice } from '../page/Notice.js';
import { ruleWords } from '../schedule/triggerWords.js';

/** The triggers as they stand, in words beside the fields: "every 50 h or every year". */
function standingWords(machine: MachineDetailDto, itemId: string): string {
  const rule = machine.rules.find((each) => each.itemId === itemId);
  return rule ? ruleWords(rule.triggers) : '';
}

/** The triggers with the intervals that were typed; as they are where none was. */
function triggersOf(machine: MachineDetailDto, typed: DepartureFieldsDto, before: OverrideDto | undefined) {
  const { itemId, meter, hours = null, days = null, months = null } = typed;
  const rule = machine.rules.find((each) => each.itemId === itemId);
  const isChanged = [hours, days, months].some((figure) => figure !== null);
  if (!isChanged || !rule) return before?.triggers ?? null;
  return withIntervals(rule.triggers, { meter, hours, days, months });
}

/** What is sent: what was typed, everything else as it is. */
function fieldsOf(machine: MachineDetailDto, typed: DepartureFieldsDto): OverrideFieldsDto {
  const { itemId, isOmitted, dutyFactor, reason } = typed;
  const before = machine.overrides.find((override) => override.itemId === itemId);
  return {
    isOmitted,
    reason,
    triggers: triggersOf(machine, typed, before),
    dutyFactor: dutyFactor ?? before?.dutyFactor ?? null,
    windowHours: before?.windowHours ?? null,
    windowDays: before?.windowDays ?? null,
  };
}

/** The intervals and the duty factor; hours count on any meter that the machine has. */
function Intervals({
  form,
  machine,
}: {
  form: UseFormReturn<DepartureFieldsDto>;
  machine: MachineDetailDto;
}) {
  const meters: readonly MeterName[] = ['engine', ...machine.attachments.map(({ kind }) => kind)];
  const interval = (name: 'hours' | 'days' | 'months', label: string) => (
    <Field form={form} name={name} label={label} figure="optional" />
  );
  return (
    <>
      <p className="soft">What stays empty is as it was.</p>
      <QuantityField
        form={form}
        name="dutyFactor"
        label="Duty factor"
        dimension="share"
        keptDecimals={2}
        mayBeEmpty
        hint="50 % in dust halves its hours"
      />
      {interval('hours', 'Every so many hours')}
      {meters.length > 1 ? (
        <Field form={form} name="meter" label="Hours of the" select defaultValue="engine">
          {meters.map((meter) => (
            <MenuItem key={meter} value={meter}>
              {METER_WORDS[meter]}
            </MenuItem>
          ))}
        </Field>
      ) : null}
      {interval('days', 'Every so many days')}
      {interval('months', 'Every so many months')}
    </>
  );
}

function OverrideForm({ machine, onDone }: { machine: MachineDetailDto; onDone: () => void }) {
  const say = useNotice();
  const form = useDtoForm(DepartureFieldsDto, {
    itemId: machine.lines[0]?.itemId ?? '',
    isOmitted: false,
    dutyFactor: null,
    meter: 'engine',
    hours: null,
    days: null,
    months: null,
    reason: '',
  });
  const [itemId, isOmitted] = form.watch(['itemId', 'isOmitted']);
  const write = useWrite<MachineDetailDto, OverrideFieldsDto>(
    (body) => ({
      method: 'PUT',
      path: `/machines/${machine.id}/overrides/${form.getValues('itemId')}`,
      body,
    }),
    ['machines'],
    () => {
      say(`${machine.tag} departs from its book there.`);
      onDone();
    },
  );
  return (
    <FormDialog
      title={`${machine.tag}: depart from its book`}
      problem={form.problem}
      submitWord="Keep"
      pending={write.isPending}
      onSubmit={() =>
        void form.handleSubmit((typed) =>
          write.mutate(fieldsOf(machine, typed), { onError: (error) => form.refuse(error) }),
        )()
      }
      onLeave={onDone}
    >
      <Field
        form={form}
        name="itemId"
        label="Line"
        select
        value={itemId}
        hint={standingWords(machine, itemId)}
      >
        {machine.lines.map((line) => (
          <MenuItem key={line.itemId} value={line.itemId}>
            {line.itemName}
          </MenuItem>
        ))}
      </Field>
      <FormControlLabel
        label="This machine has no such part"
        control={
          <Checkbox
            checked={isOmitted}
            onChange={(_event, checked) => form.setValue('isOmitted', checked, { shouldDirty: true })}
          />
        }
      />
      {isOmitted ? null : <Intervals form={form} machine={machine} />}
      <Field form={form} name="reason" label="Why" />
    </FormDialog>
  );
}

function overrideWords({ isOmitted, triggers, dutyFactor }: OverrideDto): string {
  if (isOmitted) return 'not on this machine';
  return [
    triggers ? ruleWords(triggers) : '',
    dutyFactor === null ? '' : `its hours at ${shownValue(dutyFactor, 'share', 'metric')}`,
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
