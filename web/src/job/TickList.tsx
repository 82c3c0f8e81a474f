import Checkbox from '@mui/material/Checkbox';
import { useQueryClient } from '@tanstack/react-query';
import type { JobDto, JobItemDto, TickDto } from '@yugator/contracts';
import { ApiProblem, sentenceOf } from '../api/problem.js';
import { useWrite } from '../api/useWrite.js';
import { Caution } from '../page/Caution.js';
import { limitWords } from '../schedule/dueWords.js';
import { useSession } from '../session/useSession.js';
import styles from './job.module.css';
import { jobQueries } from './jobQueries.js';

function Tick({
  item,
  mayTick,
  pending,
  onTick,
}: {
  item: JobItemDto;
  mayTick: boolean;
  pending: boolean;
  onTick: (ticked: boolean) => void;
}) {
  const { today } = useSession();
  const limit = item.due?.limits[0];
  return (
    <li className={item.ticked ? styles.done : undefined}>
      <label>
        <Checkbox
          checked={item.ticked}
          disabled={!mayTick || pending}
          onChange={(_event, ticked) => onTick(ticked)}
          sx={{ width: 52, height: 52, '& svg': { fontSize: 30 } }}
        />
        <span>
          <b>{item.name}</b>
          <span className={styles.small}>
            {item.due ? (limit ? limitWords(limit, today) : 'never recorded') : 'no longer in its book'}
          </span>
        </span>
        <span className="soft">{item.minutes} min</span>
      </label>
    </li>
  );
}

/** The items of a job, ticked off one by one; ticks are shared with whoever works on the same job. */
export function TickList({ job, mayTick }: { job: JobDto; mayTick: boolean }) {
  const client = useQueryClient();
  const { queryKey } = jobQueries.one(job.id);
  const tick = useWrite<JobDto, TickDto & { itemId: string }>(
    ({ itemId, ...body }) => ({ method: 'PUT', path: `/jobs/${job.id}/items/${itemId}`, body }),
    [],
  );
  const change = (item: JobItemDto, ticked: boolean) =>
    tick.mutate(
      { itemId: item.itemId, ticked, version: item.version },
      {
        onSuccess: (now) => client.setQueryData(queryKey, now),
        onError: (error) => {
          if (error instanceof ApiProblem && error.status === 409)
            void client.invalidateQueries({ queryKey });
        },
      },
    );
  return (
    <>
      {tick.error ? <Caution title="Not ticked">{<p>{sentenceOf(tick.error)}</p>}</Caution> : null}
      <ul className={styles.ticks}>
        {job.items.map((item) => (
          <Tick
            key={item.itemId}
            item={item}
            mayTick={mayTick}
            pending={tick.isPending && tick.variables.itemId === item.itemId}
            onTick={(ticked) => change(item, ticked)}
          />
        ))}
      </ul>
    </>
  );
}
