import MenuItem from '@mui/material/MenuItem';
import { ATTACHMENT_KINDS, AttachmentDto } from '@yugator/contracts';
import type { MachineDetailDto, UpdateAttachmentsDto } from '@yugator/contracts';
import Button from '@mui/material/Button';
import { shareOf } from '@yugator/core';
import { sentenceOf } from '../api/problem.js';
import { useWrite } from '../api/useWrite.js';
import { DialogButton } from '../form/DialogButton.js';
import { Field } from '../form/Field.js';
import { FormDialog } from '../form/FormDialog.js';
import { useDtoForm } from '../form/useDtoForm.js';
import { Caution } from '../page/Caution.js';
import { useNotice } from '../page/Notice.js';
import { hoursWords } from '../words/figures.js';
import { ATTACHMENT_WORDS } from './classWords.js';

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

function AttachmentForm({ machine, onDone }: { machine: MachineDetailDto; onDone: () => void }) {
  const form = useDtoForm<AttachmentDto>(AttachmentDto, {
    ...{ kind: 'loader' as const, name: '', share: 0.2, hoursAtStart: 0, engineAtStart: machine.life },
  });
  const update = useUpdate(machine, 'attachment kept', onDone);
  return (
    <FormDialog
      title={`${machine.tag}: an attachment`}
      problem={form.problem ?? (update.error ? sentenceOf(update.error) : null)}
      submitWord="Keep"
      pending={update.isPending}
      onSubmit={form.handleSubmit((values) => {
        const others = machine.attachments.filter(({ kind }) => kind !== values.kind);
        update.mutate({ attachments: [...others, { ...values }], version: machine.version });
      })}
      onLeave={onDone}
    >
      <Field form={form} name="kind" label="What it is" select defaultValue="loader">
        {ATTACHMENT_KINDS.map((kind) => (
          <MenuItem key={kind} value={kind}>
            {ATTACHMENT_WORDS[kind]}
          </MenuItem>
        ))}
      </Field>
      <Field form={form} name="name" label="Name" hint="Such as Front loader" />
      <Field
        form={form}
        name="share"
        label="Share of the engine hours"
        figure
        hint="0.2: it works a fifth of the time"
      />
      <Field form={form} name="hoursAtStart" label="Its own hours when that began" figure />
      <Field form={form} name="engineAtStart" label="Engine hours when that began" figure />
    </FormDialog>
  );
}

/** Attachments with hours of their own: a share of the engine's, on which their intervals count. */
export function Attachments({ machine, mayChange }: { machine: MachineDetailDto; mayChange: boolean }) {
  const drop = useUpdate(machine, 'attachment taken off');
  return (
    <section aria-label="Attachments" style={{ display: 'grid', gap: 8, justifyItems: 'start' }}>
      <h2>Attachments</h2>
      {machine.attachments.length === 0 ? <p className="soft">None with hours of its own.</p> : null}
      {drop.error ? <Caution title="Not saved">{<p>{sentenceOf(drop.error)}</p>}</Caution> : null}
      {machine.attachments.map((attachment) => (
        <p key={attachment.kind}>
          <b>{attachment.name}</b>: {hoursWords(shareOf({ ...attachment, kind: 'share' }, machine.life))} h,
          counted as {Math.round(attachment.share * 100)} % of the engine hours{' '}
          {mayChange ? (
            <Button
              size="small"
              onClick={() =>
                drop.mutate({
                  attachments: machine.attachments.filter(({ kind }) => kind !== attachment.kind),
                  version: machine.version,
                })
              }
              aria-label={`Take off ${attachment.name}`}
            >
              Take off
            </Button>
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
