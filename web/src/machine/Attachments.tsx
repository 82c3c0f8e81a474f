import Button from '@mui/material/Button';
import { AttachmentDto } from '@yugator/contracts';
import type { MachineDetailDto, ShownAttachmentDto, UpdateAttachmentsDto } from '@yugator/contracts';
import { useState } from 'react';
import { sentenceOf } from '../api/problem.js';
import { useWrite } from '../api/useWrite.js';
import { DialogButton } from '../form/DialogButton.js';
import { ChoiceField } from '../form/ChoiceField.js';
import { Choose, choicesOf } from '../form/Choose.js';
import { QuantityField } from '../form/QuantityField.js';
import { Field } from '../form/Field.js';
import { FormDialog } from '../form/FormDialog.js';
import { useDtoForm } from '../form/useDtoForm.js';
import { Caution } from '../page/Caution.js';
import { useNotice } from '../page/Notice.js';
import { hoursWords } from '../words/figures.js';
import { useMayRound } from '../session/useSession.js';
import { ATTACHMENT_WORDS } from './classWords.js';
import { EnterHours } from './EnterHours.js';

function useUpdate(machine: MachineDetailDto, done: string, onDone?: () => void) {
  const say = useNotice();
  return useWrite<MachineDetailDto, UpdateAttachmentsDto>(
    (body) => ({ method: 'PUT', path: `/machines/${machine.id}/attachments`, body }),
    ['machines'],
    () => {
      say(`${machine.tag}: ${done}.`);
      onDone?.();
    },
  );
}

const WAYS = { share: 'A share of the engine hours', own: 'A meter of its own' };
type Way = keyof typeof WAYS;

function AttachmentForm({ machine, onDone }: { machine: MachineDetailDto; onDone: () => void }) {
  const form = useDtoForm<AttachmentDto>(AttachmentDto, {
    kind: 'loader' as const,
    name: '',
    share: 0.2,
    hoursAtStart: 0,
    engineAtStart: machine.life,
  });
  const [way, setWay] = useState<Way>('share');
  const update = useUpdate(machine, 'attachment kept', onDone);
  const choose = (next: Way) => {
    setWay(next);
    form.setValue('share', next === 'own' ? null : 0.2);
  };
  return (
    <FormDialog
      title={`${machine.tag}: an attachment`}
      problem={form.problem ?? (update.error ? sentenceOf(update.error) : null)}
      submitWord="Keep"
      pending={update.isPending}
      onSubmit={form.handleSubmit((values) => {
        const attachments = [...without(machine, values.kind), { ...values }];
        update.mutate({ attachments, version: machine.version });
      })}
      onLeave={onDone}
    >
      <ChoiceField form={form} name="kind" label="What it is" choices={choicesOf(ATTACHMENT_WORDS)} />
      <Field form={form} name="name" label="Name" hint="Such as Front loader" />
      <Choose label="How its hours are known" value={way} choices={choicesOf(WAYS)} onChange={choose} />
      {way === 'share' ? (
        <>
          <QuantityField
            form={form}
            name="share"
            label="Share of the engine hours"
            dimension="share"
            keptDecimals={3}
            hint="20 %: it works a fifth of the time"
          />
          <Field form={form} name="hoursAtStart" label="Its own hours when that began" figure />
          <Field form={form} name="engineAtStart" label="Engine hours when that began" figure />
        </>
      ) : (
        <Field
          form={form}
          name="hoursAtStart"
          label="Its meter shows"
          figure
          hint="From now on it stands in the round with the others"
        />
      )}
    </FormDialog>
  );
}

/** The attachments but that of `kind`, as they are sent. */
function without({ attachments }: MachineDetailDto, kind: AttachmentDto['kind']): AttachmentDto[] {
  return attachments.filter((each) => each.kind !== kind).map(({ life: _now, ...attachment }) => attachment);
}

function wayWords({ share }: ShownAttachmentDto): string {
  return share === null
    ? 'read off a meter of its own'
    : `counted as ${Math.round(share * 100)} % of the engine hours`;
}

/** Attachments with hours of their own, on which their intervals count. */
export function Attachments({ machine, mayChange }: { machine: MachineDetailDto; mayChange: boolean }) {
  const drop = useUpdate(machine, 'attachment taken off');
  const mayRead = useMayRound();
  return (
    <section aria-label="Attachments" style={{ display: 'grid', gap: 8, justifyItems: 'start' }}>
      <h2>Attachments</h2>
      {machine.attachments.length === 0 ? <p className="soft">None with hours of its own.</p> : null}
      {drop.error ? <Caution title="Not saved">{<p>{sentenceOf(drop.error)}</p>}</Caution> : null}
      {machine.attachments.map((attachment) => (
        <p key={attachment.kind}>
          <b>{attachment.name}</b>: {hoursWords(attachment.life)} h, {wayWords(attachment)}{' '}
          {mayChange ? (
            <Button
              size="small"
              onClick={() =>
                drop.mutate({ attachments: without(machine, attachment.kind), version: machine.version })
              }
              aria-label={`Take off ${attachment.name}`}
            >
              Take off
            </Button>
          ) : null}
          {mayRead && attachment.share === null ? (
            <EnterHours machineId={machine.id} meter={attachment.kind} size="small" />
          ) : null}
        </p>
      ))}
      {mayChange ? (
        <DialogButton word="Add an attachment" size="small">
          {(close) => <AttachmentForm machine={machine} onDone={close} />}
        </DialogButton>
      ) : null}
    </section>
  );
}
