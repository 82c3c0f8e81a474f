import Button from '@mui/material/Button';
import { useQueryClient } from '@tanstack/react-query';
import { PauseJobDto } from '@yugator/contracts';
import type { JobDto } from '@yugator/contracts';
import { sentenceOf } from '../api/problem.js';
import { useWrite } from '../api/useWrite.js';
import { DialogButton } from '../form/DialogButton.js';
import { Field } from '../form/Field.js';
import { FormDialog } from '../form/FormDialog.js';
import { useDtoForm } from '../form/useDtoForm.js';
import { Caution } from '../page/Caution.js';
import { jobQueries } from './jobQueries.js';

function usePause(job: JobDto, onDone?: () => void) {
  const client = useQueryClient();
  return useWrite<JobDto, PauseJobDto>(
    (body) => ({ method: 'PUT', path: `/jobs/${job.id}/pause`, body }),
    [],
    (now) => {
      client.setQueryData(jobQueries.one(job.id).queryKey, now);
      onDone?.();
    },
  );
}

function PauseForm({ job, onDone }: { job: JobDto; onDone: () => void }) {
  const form = useDtoForm<PauseJobDto>(PauseJobDto, { reason: '', version: job.version });
  const pause = usePause(job, onDone);
  return (
    <FormDialog
      title={`${job.machine.tag}: put the job aside`}
      problem={form.problem}
      submitWord="Put it aside"
      pending={pause.isPending}
      onSubmit={form.handleSubmit((values) =>
        pause.mutate({ ...values, version: job.version }, { onError: form.refuse }),
      )}
      onLeave={onDone}
    >
      <Field form={form} name="reason" label="What it waits for" hint="Such as: the filter comes tomorrow" />
    </FormDialog>
  );
}

/** Puts the job aside until something is there, and takes it up again; what is done stays done. */
export function PauseJob({ job }: { job: JobDto }) {
  const pause = usePause(job);
  if (job.pausedReason === null) {
    return (
      <DialogButton word="Put aside …" variant="text">
        {(close) => <PauseForm job={job} onDone={close} />}
      </DialogButton>
    );
  }
  return (
    <Caution title="Put aside" quiet>
      <p>It waits: {job.pausedReason}</p>
      {pause.error ? <p>{sentenceOf(pause.error)}</p> : null}
      <Button loading={pause.isPending} onClick={() => pause.mutate({ reason: null, version: job.version })}>
        Take it up again
      </Button>
    </Caution>
  );
}
