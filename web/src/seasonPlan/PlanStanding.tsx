import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { useIsOneOf, useSession } from '../session/useSession.js';
import { planQueries } from './planQueries.js';
import styles from './plan.module.css';
import { troubleCounts, troubleWords } from './troubleWords.js';

/** Says that the published plan no longer holds, and why; nothing while it does. `again`: where it is planned again. */
export function PlanStanding({ again }: { again?: string }) {
  const { today } = useSession();
  const mayRead = useIsOneOf('crewLead', 'mechanic');
  const mayPlan = useIsOneOf('crewLead');
  const { data } = useQuery({ ...planQueries.troubles(), enabled: mayRead });
  if (!data || data.troubles.length === 0) return null;
  return (
    <section aria-label="The plan no longer holds" className={styles.standing}>
      <details>
        <summary>
          <b>Since it was published, the plan no longer holds:</b> {troubleCounts(data.troubles)}
        </summary>
        <ul>
          {data.troubles.map((trouble) => {
            const words = troubleWords(trouble, today);
            return <li key={words}>{words}.</li>;
          })}
        </ul>
      </details>
      {again && mayPlan ? (
        <Button component={Link} to={again} size="small">
          Look at the plan
        </Button>
      ) : null}
    </section>
  );
}
