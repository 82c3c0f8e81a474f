import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { KeepWalkDto } from '@yugator/contracts';
import type { DueLineDto, WalkDto, WalkKeptDto } from '@yugator/contracts';
import { standingLooks } from '@yugator/core';
import { useFieldArray } from 'react-hook-form';
import { useNavigate, useParams } from 'react-router';
import { useWrite } from '../api/useWrite.js';
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
import { useIsOneOf, useSession } from '../session/useSession.js';
import page from '../page/page.module.css';
import styles from './walk.module.css';
import { walkQueries } from './walkQueries.js';
import { WalkRow } from './WalkRow.js';
import type { Looked } from './WalkRow.js';

function reasonOf(line: DueLineDto, today: string): string {
  const [deciding] = line.limits;
  return deciding ? limitWords(deciding, today) : 'nobody knows when it was last done';
}

/** Lines that are due, and the standing look of the class. */
function lookedAt({ lines, machineClass }: WalkDto, today: string): { due: Looked[]; standing: Looked[] } {
  return {
    due: lines.map((line) => ({
      key: line.itemId,
      words: line.itemName,
      reason: reasonOf(line, today),
      look: null,
    })),
    standing: standingLooks(machineClass).map(({ key, words, look }) => ({ key, words, look, reason: '' })),
  };
}

function WalkForm({ walk }: { walk: WalkDto }) {
  const { today } = useSession();
  const say = useNotice();
  const navigate = useNavigate();
  const { machine, lines } = walk;
  const form = useDtoForm<KeepWalkDto>(
    KeepWalkDto,
    { itemIds: lines.map(({ itemId }) => itemId), notWell: [] },
    'onSubmit',
  );
  const wrong = useFieldArray({ control: form.control, name: 'notWell', keyName: 'rowKey' });
  const keep = useWrite<WalkKeptDto, KeepWalkDto>(
    (body) => ({ method: 'POST', path: `/machines/${machine.id}/walk`, body }),
    ['jobs', 'readings', 'machines'],
    () => {
      say(`${machine.tag}: walk kept.`);
      void navigate('/');
    },
  );
  const { due, standing } = lookedAt(walk, today);
  const isLine = (key: string) => lines.some(({ itemId }) => itemId === key);
  const placeOf = (key: string) =>
    wrong.fields.findIndex(({ itemId, look }) => (itemId ?? look ?? '') === key);
  const setDone = (without: ReadonlySet<string>) =>
    form.setValue(
      'itemIds',
      lines.map(({ itemId }) => itemId).filter((id) => !without.has(id)),
    );
  const said = (but = '') =>
    new Set(wrong.fields.flatMap(({ itemId }) => (itemId && itemId !== but ? itemId : [])));
  const row = (looked: Looked) => (
    <WalkRow
      key={looked.key}
      form={form}
      looked={looked}
      at={placeOf(looked.key)}
      onNotWell={() => {
        const of = isLine(looked.key) ? { itemId: looked.key } : { look: looked.key };
        wrong.append({ ...of, words: '', severity: 'soon' }, { shouldFocus: false });
        setDone(said().add(looked.key));
      }}
      onWell={() => {
        wrong.remove(placeOf(looked.key));
        setDone(said(looked.key));
      }}
    />
  );
  const count = wrong.fields.length;
  return (
    <form
      noValidate
      onSubmit={(event) =>
        void form.handleSubmit((values) => {
          if (!keep.isPending) keep.mutate({ ...values }, { onError: form.refuse });
        })(event)
      }
    >
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
      {form.problem ? <Caution title="Not kept">{<p>{form.problem}</p>}</Caution> : null}
      <div className={`${page.foot} ${styles.keep}`}>
        <Button type="submit" variant="contained" color="primary" size="large" loading={keep.isPending}>
          {count ? `Keep it, ${count} not well` : 'All well'}
        </Button>
      </div>
    </form>
  );
}

/** A walk round one machine: a figure, a look, one press. What is not well becomes a defect. */
export function WalkPage() {
  const { machineId = '' } = useParams();
  const { data: walk, error, refetch } = useQuery(walkQueries.of(machineId));
  const mayWalk = useIsOneOf('crewLead', 'mechanic', 'operator');
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
