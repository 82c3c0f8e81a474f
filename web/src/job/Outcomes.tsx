import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import { useQueryClient } from '@tanstack/react-query';
import { OutcomeDto, SEVERITIES } from '@yugator/contracts';
import type { JobDto, JobItemDto, Outcome } from '@yugator/contracts';
import { capital } from '@yugator/core';
import type { MeterName } from '@yugator/core';
import { useState } from 'react';
import { ApiProblem, sentenceOf } from '../api/problem.js';
import { useWrite } from '../api/useWrite.js';
import { DialogButton } from '../form/DialogButton.js';
import { DayField } from '../form/DayField.js';
import { Field } from '../form/Field.js';
import { FormDialog } from '../form/FormDialog.js';
import { useDtoForm } from '../form/useDtoForm.js';
import { Caution } from '../page/Caution.js';
import { useSession } from '../session/useSession.js';
import { jobQueries } from './jobQueries.js';
import { outcomeWords, SEVERITY_WORDS } from './outcomeWords.js';
import styles from './sheet.module.css';

function useDecide(job: JobDto, item: JobItemDto, onDone?: () => void) {
  const client = useQueryClient();
  const { queryKey } = jobQueries.one(job.id);
  return useWrite<JobDto, OutcomeDto>(
    (body) => ({ method: 'PUT', path: `/jobs/${job.id}/items/${item.itemId}`, body }),
    [],
    (now) => {
      client.setQueryData(queryKey, now);
      onDone?.();
    },
  );
}

const WAYS: Record<Exclude<Outcome, 'done'>, string> = {
  kept: 'Looked at and kept',
  deferred: 'Put off',
  defect: 'Found defective',
};

/** The meter that hours of an item count on. */
function meterOf({ untilMeter, due }: JobItemDto): MeterName {
  return untilMeter ?? due?.limits.find(({ kind }) => kind === 'hours')?.meter ?? 'engine';
}

function OutcomeForm({ job, item, onDone }: { job: JobDto; item: JobItemDto; onDone: () => void }) {
  const client = useQueryClient();
  const form = useDtoForm<OutcomeDto>(OutcomeDto, {
    outcome: item.outcome === 'done' || item.outcome === null ? 'kept' : item.outcome,
    untilLife: item.untilLife,
    untilMeter: meterOf(item),
    untilOn: item.untilOn,
    severity: item.severity ?? 'soon',
    note: item.note,
    version: item.version,
  });
  const decide = useDecide(job, item, onDone);
  // Once refused because the item has changed meanwhile, as by a tick that came late, one sees it as it is now.
  const [isSeenAnew, setSeenAnew] = useState(false);
  const outcome = form.watch('outcome');
  return (
    <FormDialog
      title={item.name}
      problem={form.problem}
      submitWord="Keep"
      pending={decide.isPending}
      onSubmit={form.handleSubmit((values) =>
        decide.mutate(
          {
            ...values,
            untilOn: values.untilOn === '' ? null : values.untilOn,
            version: isSeenAnew ? item.version : values.version,
          },
          {
            onError: (error) => {
              form.refuse(error);
              if (!(error instanceof ApiProblem) || error.status !== 409) return;
              setSeenAnew(true);
              void client.invalidateQueries({ queryKey: jobQueries.one(job.id).queryKey });
            },
          },
        ),
      )}
      onLeave={onDone}
    >
      <Field form={form} name="outcome" label="What became of it" select value={outcome}>
        {Object.entries(WAYS).map(([key, words]) => (
          <MenuItem key={key} value={key}>
            {words}
          </MenuItem>
        ))}
      </Field>
      {outcome === 'defect' ? (
        <Field form={form} name="severity" label="How bad it is" select defaultValue="soon">
          {SEVERITIES.map((key) => (
            <MenuItem key={key} value={key}>
              {capital(SEVERITY_WORDS[key])}
            </MenuItem>
          ))}
        </Field>
      ) : (
        <>
          <Field
            form={form}
            name="untilLife"
            label={`Until the ${meterOf(item)} has`}
            figure="optional"
            hint="Life hours; leave it empty for a day alone"
          />
          <DayField form={form} name="untilOn" label="Or until" blankIsNothing />
        </>
      )}
      <Field
        form={form}
        name="note"
        label={outcome === 'defect' ? 'What is wrong' : 'Why'}
        multiline
        minRows={2}
      />
    </FormDialog>
  );
}

function ItemOutcome({ job, item, mayWork }: { job: JobDto; item: JobItemDto; mayWork: boolean }) {
  const { today } = useSession();
  const decide = useDecide(job, item);
  const isDone = item.outcome === 'done';
  return (
    <li>
      <span>
        <b>{item.name}</b>
        <br />
        <span className={item.outcome === 'defect' ? undefined : 'soft'}>{outcomeWords(item, today)}</span>
        {decide.error ? <Caution title="Not kept">{<p>{sentenceOf(decide.error)}</p>}</Caution> : null}
      </span>
      {mayWork ? (
        <span className={styles.ways}>
          <Button
            size="small"
            loading={decide.isPending}
            aria-label={isDone ? `Not done: ${item.name}` : `Done: ${item.name}`}
            onClick={() => decide.mutate({ outcome: isDone ? null : 'done', version: item.version })}
          >
            {isDone ? 'Not done' : 'Done'}
          </Button>
          {isDone && item.mayLeaveOutNext ? (
            <Button
              size="small"
              loading={decide.isPending}
              aria-label={`${item.leavesOutNext ? 'Make' : 'Leave out'} the next one: ${item.name}`}
              onClick={() =>
                decide.mutate({
                  outcome: 'done',
                  leavesOutNext: !item.leavesOutNext,
                  version: item.version,
                })
              }
            >
              {item.leavesOutNext ? 'Make the next one' : 'Clean: leave out the next'}
            </Button>
          ) : null}
          <DialogButton word="Otherwise" label={`Otherwise: ${item.name}`} size="small" variant="text">
            {(close) => <OutcomeForm job={job} item={item} onDone={close} />}
          </DialogButton>
        </span>
      ) : null}
    </li>
  );
}

/** What became of each item of the job. */
export function Outcomes({ job, mayWork }: { job: JobDto; mayWork: boolean }) {
  return (
    <section aria-label="What became of the items">
      <h2>What became of it</h2>
      <ul className={styles.outcomes}>
        {job.items.map((item) => (
          <ItemOutcome key={item.itemId} job={job} item={item} mayWork={mayWork} />
        ))}
      </ul>
    </section>
  );
}
