import MenuItem from '@mui/material/MenuItem';
import { ChangeMeterDto } from '@yugator/contracts';
import type { MachineDetailDto } from '@yugator/contracts';
import { ROLL_OVER_HOURS } from '@yugator/core';
import { useWrite } from '../api/useWrite.js';
import { DialogButton } from '../form/DialogButton.js';
import { DayField } from '../form/DayField.js';
import { Field } from '../form/Field.js';
import { FormDialog } from '../form/FormDialog.js';
import { useDtoForm } from '../form/useDtoForm.js';
import { useNotice } from '../page/Notice.js';
import { useSession } from '../session/useSession.js';

/** The largest figure of a meter that begins again after it. */
const LARGEST_SHOWN = ROLL_OVER_HOURS - 0.1;

function ChangeForm({ machine, onDone }: { machine: MachineDetailDto; onDone: () => void }) {
  const { today } = useSession();
  const say = useNotice();
  const form = useDtoForm<ChangeMeterDto>(ChangeMeterDto, {
    kind: 'replaced' as const,
    on: today,
    oldShown: machine.lastShown ?? 0,
    newShown: 0,
    reason: '',
  });
  const change = useWrite<null, ChangeMeterDto>(
    (body) => ({ method: 'POST', path: `/machines/${machine.id}/meter`, body }),
    ['readings'],
    () => {
      say(`${machine.tag}: the new meter counts on from the old one.`);
      onDone();
    },
  );
  const own = machine.attachments.filter(({ share }) => share === null);
  const isReplaced = form.watch('kind') === 'replaced';
  return (
    <FormDialog
      title={`${machine.tag} ${machine.name}: its meter`}
      problem={form.problem}
      submitWord="Keep"
      pending={change.isPending}
      onSubmit={form.handleSubmit((values) => change.mutate({ ...values }, { onError: form.refuse }))}
      onLeave={onDone}
    >
      {own.length ? (
        <Field form={form} name="meter" label="Which meter" select defaultValue="engine">
          <MenuItem value="engine">The engine&apos;s</MenuItem>
          {own.map(({ kind, name }) => (
            <MenuItem key={kind} value={kind}>
              {name}
            </MenuItem>
          ))}
        </Field>
      ) : null}
      <Field
        form={form}
        name="kind"
        label="What happened"
        select
        defaultValue="replaced"
        onBlur={() => {
          if (form.getValues('kind') === 'rolledOver') form.setValue('oldShown', LARGEST_SHOWN);
        }}
      >
        <MenuItem value="replaced">The meter was replaced</MenuItem>
        <MenuItem value="rolledOver">The meter went past its end and began again</MenuItem>
      </Field>
      <DayField form={form} name="on" label="Day" />
      <Field
        form={form}
        name="oldShown"
        label={isReplaced ? 'The old meter showed at the end' : 'The largest figure it can show'}
        figure
      />
      <Field form={form} name="newShown" label={isReplaced ? 'The new meter shows' : 'It shows now'} figure />
      <Field form={form} name="reason" label="Why" hint="Such as: the old one had stopped" />
    </FormDialog>
  );
}

/** Says that the meter was replaced or rolled over: life hours go on. */
export function ChangeMeter({ machine }: { machine: MachineDetailDto }) {
  return (
    <DialogButton word="Meter replaced or rolled over" size="small">
      {(close) => <ChangeForm machine={machine} onDone={close} />}
    </DialogButton>
  );
}
