import Button from '@mui/material/Button';
import type { NextVisitDto } from '@yugator/contracts';
import { Link } from 'react-router';
import { sentenceOf } from '../api/problem.js';
import { useOpenJob } from '../job/useOpenJob.js';
import { Caution } from '../page/Caution.js';
import { Plate } from '../page/Plate.js';
import { useIsOneOf } from '../session/useSession.js';
import { countWords } from '../words/figures.js';
import styles from './today.module.css';

function Visit({ visit, isToday }: { visit: NextVisitDto; isToday: boolean }) {
  const { machine, minutes, lines, itemIds, openJobId, isDone } = visit;
  const mayOpen = useIsOneOf('crewLead', 'mechanic');
  const open = useOpenJob();
  return (
    <li className={styles.round}>
      <Plate tag={machine.tag} to={machine.id} />
      <span className={styles.what}>
        <b>{machine.name}</b>
        <span className={styles.reason}>
          {isToday ? 'Today' : 'Tomorrow'}, {minutes} min: {lines.join(', ')}
        </span>
        {open.error ? <Caution title="Not opened">{<p>{sentenceOf(open.error)}</p>}</Caution> : null}
      </span>
      {isDone ? (
        <span>done</span>
      ) : !mayOpen ? null : openJobId ? (
        <Button
          component={Link}
          to={`/jobs/${openJobId}`}
          size="small"
          aria-label={`Go on with the job: ${machine.tag}`}
        >
          Go on with the job
        </Button>
      ) : (
        <Button
          size="small"
          loading={open.isPending}
          aria-label={`Open the job: ${machine.tag}`}
          onClick={() => open.mutate({ machineId: machine.id, itemIds })}
        >
          Open the job
        </Button>
      )}
    </li>
  );
}

function Visits({ visits, isToday }: { visits: readonly NextVisitDto[]; isToday: boolean }) {
  return (
    <ul className={styles.rows}>
      {visits.map((visit) => (
        <Visit key={visit.machine.id} visit={visit} isToday={isToday} />
      ))}
    </ul>
  );
}

/** What is planned for the workshop today, and folded, so that it hides nothing of today, tomorrow. */
export function NextVisits({ visits, today }: { visits: readonly NextVisitDto[]; today: string }) {
  if (visits.length === 0) return null;
  const now = visits.filter(({ on }) => on === today);
  const next = visits.filter(({ on }) => on !== today);
  const minutes = next.reduce((sum, visit) => sum + visit.minutes, 0);
  return (
    <section aria-label="In the workshop">
      {now.length ? (
        <>
          <h2 className={styles.group}>In the workshop, as planned</h2>
          <Visits visits={now} isToday />
        </>
      ) : null}
      {next.length ? (
        <details className={styles.tomorrow}>
          <summary>
            <b>Tomorrow in the workshop:</b> {countWords(next.length, 'visit')}, {minutes} min
          </summary>
          <Visits visits={next} isToday={false} />
        </details>
      ) : null}
    </section>
  );
}
