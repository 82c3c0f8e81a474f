import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import type { QueryClient } from '@tanstack/react-query';
import { proposedDraws, SignOffDto } from '@yugator/contracts';
import type { DrainedDto, JobDto, PersonDto, Role } from '@yugator/contracts';
import { useEffect, useMemo } from 'react';
import type { FormEvent } from 'react';
import type { UseFormReturn } from 'react-hook-form';
import { ApiProblem } from '../api/problem.js';
import { useWrite } from '../api/useWrite.js';
import { DayField } from '../form/DayField.js';
import { Field } from '../form/Field.js';
import { QuantityField } from '../form/QuantityField.js';
import form_ from '../form/form.module.css';
import { useDtoForm } from '../form/useDtoForm.js';
import { Caution } from '../page/Caution.js';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import { useNotice } from '../page/Notice.js';
import { useOutbox } from '../outbox/useOutbox.js';
import { useSession } from '../session/useSession.js';
import { drainedWaste, handsOnMinutes, mendingMinutes } from '@yugator/core';
import type { Waste } from '@yugator/core';
import { FluidReason } from './FluidReason.js';
import { FoundDefects } from './FoundDefects.js';
import { MendedDefects } from './MendedDefects.js';
import { peopleQueries } from '../people/peopleQueries.js';
import { shelfQueries } from '../shelf/shelfQueries.js';
import { lastReadWords } from '../round/lastReadWords.js';
import { countWords } from '../words/figures.js';
import { CostLine } from './CostLine.js';
import { Draws } from './Draws.js';
import styles from './job.module.css';
import { jobQueries } from './jobQueries.js';
import { stepOfEntry } from './keptStep.js';

/** What becomes of the items of which nothing is said. */
function leftWords(job: JobDto, isMended: boolean): string {
  const left = job.items.filter(({ outcome }) => outcome === null).length;
  if (left === job.items.length && !isMended)
    return left ? 'Say first what became of the items.' : 'Say first which defects were mended.';
  return left ? `${countWords(left, 'item')} not settled: not done, due as before.` : '';
}

/** What the items done so far drain, into each of the containers that the job may fill. */
function drainedOf(job: JobDto, done: readonly string[]): DrainedDto[] {
  const now = drainedWaste(job.setUp, done);
  const all = drainedWaste(
    job.setUp,
    job.items.map(({ itemId }) => itemId),
  );
  return all.map(({ waste }) => ({
    waste,
    litres: now.find((each) => each.waste === waste)?.litres ?? 0,
  }));
}

const NONE: readonly string[] = [];

/**
 * What the items done so far, and the defects that were mended, come to: their minutes of hands, what they take from the shelf, and what
 * they drain.
 */
function proposalOf(
  job: JobDto,
  mendedIds: readonly string[],
): Pick<SignOffDto, 'minutes' | 'draws'> & { drained: DrainedDto[] } {
  const done = job.items.filter(({ outcome }) => outcome === 'done').map(({ itemId }) => itemId);
  const mended = job.defects.filter(({ id }) => mendedIds.includes(id));
  return {
    minutes: mended.reduce((sum, defect) => sum + mendingMinutes(defect), handsOnMinutes(job.setUp, done)),
    drained: drainedOf(job, done),
    draws: proposedDraws(job).map(({ articleId, quantity, left, onHand }) => ({
      articleId,
      quantity,
      left,
      onHand,
    })),
  };
}

/** Has the proposal follow what is done, as long as nobody has put it right by hand. */
function useProposal(form: UseFormReturn<SignOffDto>, job: JobDto, mendedIds: readonly string[]): void {
  const { dirtyFields } = form.formState;
  const isOurs = {
    minutes: !dirtyFields.minutes,
    draws: !dirtyFields.draws,
    drained: !dirtyFields.drained,
  };
  const proposal = useMemo(() => JSON.stringify(proposalOf(job, mendedIds)), [job, mendedIds]);
  useEffect(() => {
    const { minutes, draws, drained }: ReturnType<typeof proposalOf> = JSON.parse(proposal);
    if (isOurs.minutes) form.setValue('minutes', minutes);
    if (isOurs.draws) form.setValue('draws', draws);
    if (isOurs.drained) form.setValue('drained', drained);
    // Only a new proposal counts; what was typed since must not be overwritten.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [proposal]);
}

/** What is asked of each container. */
const INTO: Readonly<Record<Waste, string>> = {
  oil: 'Used oil into the container',
  coolant: 'Used coolant into its container',
  brakeFluid: 'Used brake fluid into its container',
  fuel: 'Old fuel into its container',
};

/** As the server has it: only who does jobs can have done one. */
const DOES_JOBS: readonly Role[] = ['crewLead', 'mechanic'];

interface Props {
  readonly job: JobDto;
}

/** Who did it: the one who signs, unless somebody else is chosen. */
function DoneBy({ form, people }: { form: UseFormReturn<SignOffDto>; people: readonly PersonDto[] }) {
  const { person } = useSession();
  return (
    <Field form={form} name="doneById" label="Done by" select defaultValue={person.id}>
      {people.map(({ id, name }) => (
        <MenuItem key={id} value={id}>
          {name}
        </MenuItem>
      ))}
    </Field>
  );
}

/** What the shelf says now counts as seen: who signs again though somebody else drew the last one knows it. */
async function seeShelfAnew(form: UseFormReturn<SignOffDto>, client: QueryClient): Promise<void> {
  const { queryKey } = shelfQueries.list();
  await client.refetchQueries({ queryKey });
  const onHand = new Map(client.getQueryData(queryKey)?.map((article) => [article.id, article.onHand]));
  for (const [at, { articleId }] of form.getValues('draws').entries()) {
    const there = onHand.get(articleId);
    if (there !== undefined) form.setValue(`draws.${at}.onHand`, there);
  }
}

function SignOffForm({ job, people }: Props & { people: readonly PersonDto[] }) {
  const { today, person } = useSession();
  const client = useQueryClient();
  const say = useNotice();
  const form = useDtoForm(SignOffDto, {
    doneOn: today,
    doneById: person.id,
    ...proposalOf(job, NONE),
    mendedDefectIds: [],
    fluidReason: '',
    note: '',
    version: job.version,
  });
  const { queryKey } = jobQueries.one(job.id);
  const mendedIds = form.watch('mendedDefectIds') ?? NONE;
  useProposal(form, job, mendedIds);
  const signOff = useWrite<JobDto, SignOffDto>(
    (body) => ({ method: 'POST', path: `/jobs/${job.id}/sign-off`, body }),
    ['jobs', 'readings', 'shelf'],
    (done) => {
      client.setQueryData(queryKey, done);
      say(`${done.machine.tag} is signed off.`);
    },
  );
  const drained = useMemo(() => drainedOf(job, []), [job]);
  const isWaiting = useOutbox().some((entry) => stepOfEntry(entry)?.jobId === job.id);
  const isMended = mendedIds.length > 0;
  const nothingSaid = !isMended && job.items.every(({ outcome }) => outcome === null);
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (signOff.isPending) return;
    // The sheet as it is seen now is what is signed.
    form.setValue('version', job.version);
    void form.handleSubmit((values) =>
      signOff.mutate(values, {
        onError: (error) => {
          form.refuse(error);
          if (error instanceof ApiProblem && error.status === 409)
            void client.invalidateQueries({ queryKey });
          else void seeShelfAnew(form, client);
        },
      }),
    )();
  };
  return (
    <form className={form_.form} noValidate onSubmit={submit}>
      {form.problem ? <Caution title="Not signed off">{<p>{form.problem}</p>}</Caution> : null}
      <div className={form_.grid}>
        <DayField form={form} name="doneOn" label="Done on" />
        <Field form={form} name="shown" label="Hours on the meter" figure hint={lastReadWords(job)} />
        <DoneBy form={form} people={people} />
        <Field form={form} name="minutes" label="Minutes" figure />
      </div>
      <Draws form={form} proposed={proposedDraws(job)} />
      <FluidReason form={form} job={job} />
      {drained.map(({ waste }, at) => (
        <QuantityField
          key={waste}
          form={form}
          name={`drained.${at}.litres`}
          label={INTO[waste]}
          dimension="volume"
          keptDecimals={2}
        />
      ))}
      <MendedDefects form={form} job={job} />
      <FoundDefects job={job} />
      <CostLine form={form} job={job} />
      <Field form={form} name="note" label="Note" multiline minRows={2} />
      <div className={form_.acts}>
        <Button
          type="submit"
          variant="contained"
          color="primary"
          size="large"
          disabled={nothingSaid || isWaiting}
          loading={signOff.isPending}
        >
          Sign off
        </Button>
        <span className="soft">
          {isWaiting
            ? 'Ticks of this job wait to be sent; sign off when they are.'
            : leftWords(job, isMended)}
        </span>
      </div>
    </form>
  );
}

/** The end of a job: when, at what hours, who, how long, what was used. */
export function SignOff({ job }: Props) {
  const people = useQuery(peopleQueries.list());
  return (
    <section className={styles.off} aria-label="Sign off">
      <h2 style={{ marginBottom: 12 }}>Sign off</h2>
      {people.data ? (
        <SignOffForm
          job={job}
          people={people.data.filter((person) => person.active && DOES_JOBS.includes(person.role))}
        />
      ) : people.error ? (
        <Failed error={people.error} again={people.refetch} />
      ) : (
        <Loading rows={4} />
      )}
    </section>
  );
}
