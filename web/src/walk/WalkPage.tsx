import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { KeepWalkDto } from '@yugator/contracts';
import type { DueLineDto, WalkDto, WalkKeptDto } from '@yugator/contracts';
import { lookOf, standingLooks } from '@yugator/core';
import type { Component } from '@yugator/core';
import { useState } from 'react';
import type { FormEvent } from 'react';
import { useNavigate, useParams } from 'react-router';
import { useKept } from '../outbox/useKept.js';
import { waitsWords } from '../outbox/waitsWords.js';
import { Defects } from '../defect/Defects.js';
import { Field } from '../form/Field.js';
import { useDtoForm } from '../form/useDtoForm.js';
import { Caution } from '../page/Caution.js';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import { useNotice } from '../page/Notice.js';
import { PageHead } from '../page/PageHead.js';
import { Plate } from '../page/Plate.js';
import { lastReadWords } from '../round/lastReadWords.js';
import { limitWords } from '../schedule/dueWords.js';
import { useMayRound, useSession } from '../session/useSession.js';
import page from '../page/page.module.css';
import styles from './walk.module.css';
import { walkQueries } from './walkQueries.js';
import { WalkRow } from './WalkRow.js';
import { linesFault, partsOf, saidFault } from './said.js';
import { walkWords } from './walkWords.js';
import type { Looked, Said } from './said.js';

function reasonOf(line: DueLineDto, today: string): string {
  const [deciding] = line.limits;
  return deciding ? limitWords(deciding, today) : 'nobody knows when it was last done';
}

/** Lines that are due, and the standing look of the class. */
function lookedAt(
  { lines, machineClass, fluids }: WalkDto,
  today: string,
): { due: Looked[]; standing: Looked[] } {
  const takes = (component: Component) => fluids.some((fluid) => fluid.component === component);
  return {
    due: lines.map((line) => ({
      key: line.itemId,
      isLine: true,
      words: line.itemName,
      reason: reasonOf(line, today),
      look: lookOf(line.components),
      fluid: line.components.find(takes) ?? null,
    })),
    standing: standingLooks(machineClass).map(({ key, words, look, fluids: wanting = [] }) => ({
      key,
      isLine: false,
      words,
      look,
      reason: '',
      fluid: wanting.find(takes) ?? null,
    })),
  };
}

function WalkForm({ walk }: { walk: WalkDto }) {
  const { today } = useSession();
  const say = useNotice();
  const navigate = useNavigate();
  const { machine } = walk;
  const [said, setSaid] = useState<readonly Said[]>([]);
  const form = useDtoForm<KeepWalkDto>(KeepWalkDto, { itemIds: [], notWell: [] }, 'onSubmit');
  const keep = useKept<WalkKeptDto, KeepWalkDto>(
    (body) => ({
      method: 'POST',
      path: `/machines/${machine.id}/walk`,
      body,
      typed: walkWords(machine, body, said),
    }),
    ['jobs', 'readings', 'machines', 'shelf'],
    (answer) => {
      say(answer ? `${machine.tag}: walk kept.` : waitsWords(machine.tag));
      void navigate('/');
    },
  );
  const { errors } = form.formState;
  // What stands at its row or field is not said twice.
  const problem = linesFault(errors) ?? (Object.keys(errors).length ? null : form.problem);
  const { due, standing } = lookedAt(walk, today);
  const row = (looked: Looked) => (
    <WalkRow
      key={looked.key}
      looked={looked}
      fluids={walk.fluids}
      said={said.find(({ key }) => key === looked.key)}
      onSay={(next) =>
        setSaid((before) =>
          next === null
            ? before.filter(({ key }) => key !== looked.key)
            : before.some(({ key }) => key === looked.key)
              ? before.map((each) => (each.key === looked.key ? next : each))
              : [...before, next],
        )
      }
      faultOf={(part) => saidFault(errors, said, looked.key, part)}
    />
  );
  const submit = (event: FormEvent) => {
    event.preventDefault();
    form.reset({ ...form.getValues(), ...partsOf(said, walk.lines) }, { keepErrors: true });
    void form.handleSubmit((values) => {
      if (!keep.isPending) keep.mutate({ ...values }, { onError: form.refuse });
    })();
  };
  return (
    <form noValidate onSubmit={submit}>
      <div className={styles.hours}>
        <Field
          form={form}
          name="shown"
          label="Hours on the meter"
          figure
          autoFocus
          hint={lastReadWords(walk)}
        />
      </div>
      {due.length ? (
        <section aria-label="Due">
          <h2>Due: look, and do</h2>
          <ul className={styles.rows}>{due.map(row)}</ul>
        </section>
      ) : null}
      <section aria-label="As you walk round">
        <h2>As you walk round</h2>
        <ul className={styles.rows}>{standing.map(row)}</ul>
      </section>
      {problem ? (
        <Caution title="Not kept">
          <p>{problem}</p>
        </Caution>
      ) : null}
      <div className={`${page.foot} ${styles.keep}`}>
        <Button type="submit" variant="contained" color="primary" size="large" loading={keep.isPending}>
          {said.length ? `Keep it, ${said.length} not well` : 'All well'}
        </Button>
      </div>
    </form>
  );
}

/** A walk round one machine: a figure, a look, one press. What is not well becomes a defect. */
export function WalkPage() {
  const { machineId = '' } = useParams();
  const { data: walk, error, refetch } = useQuery(walkQueries.of(machineId));
  const mayWalk = useMayRound();
  if (!walk) return error ? <Failed error={error} again={refetch} /> : <Loading />;
  const { tag, name } = walk.machine;
  return (
    <>
      <PageHead
        name={`Walk round ${tag}`}
        title={
          <span className={styles.title}>
            <Plate tag={tag} to={machineId} /> {name}
          </span>
        }
        under="Walk round: all is well until you say otherwise."
      />
      {mayWalk ? (
        <WalkForm key={walk.lastShown} walk={walk} />
      ) : (
        <p>Operators, mechanics and the crew lead walk round.</p>
      )}
      <Defects machine={walk.machine} />
    </>
  );
}
