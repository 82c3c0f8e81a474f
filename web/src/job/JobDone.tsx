import Button from '@mui/material/Button';
import type { JobDto, RecordDto } from '@yugator/contracts';
import { Link } from 'react-router';
import { Caution } from '../page/Caution.js';
import { useHeadFocus } from '../page/useHeadFocus.js';
import { RecordTable } from '../records/RecordTable.js';
import { limitWords } from '../schedule/dueWords.js';
import { JobPhotos } from './JobPhotos.js';
import { Labels } from './Labels.js';
import { StateMark } from '../schedule/StateShape.js';
import { useSession } from '../session/useSession.js';
import { dayWords } from '../words/dates.js';
import { hoursWords } from '../words/figures.js';
import styles from './job.module.css';

/** Next due points of an item: "at 466.0 h or on 12 May 2027". */
function NextDue({ job }: { job: JobDto }) {
  const { today } = useSession();
  return (
    <ul className={styles.next}>
      {job.items
        .filter(({ outcome }) => outcome !== null)
        .map(({ itemId, name, due }) => (
          <li key={itemId}>
            {due ? <StateMark state={due.state} /> : null}
            <span>
              <b>{name}</b>
              <span className={styles.small}>
                {due?.limits.length
                  ? due.limits
                      .map((limit) =>
                        limit.kind === 'hours'
                          ? `next at ${hoursWords(limit.at ?? 0)} h (${limitWords(limit, today)})`
                          : `by ${dayWords(limit.on ?? today, today)} at the latest`,
                      )
                      .join('; ')
                  : 'no longer in its book'}
              </span>
            </span>
          </li>
        ))}
    </ul>
  );
}

/** A job that is signed off: its record, and when its items are due next. */
export function JobDone({ job, record }: { job: JobDto; record: RecordDto }) {
  const head = useHeadFocus<HTMLHeadingElement>();
  return (
    <>
      {record.voided ? (
        <Caution title="This record is void" quiet>
          <p>
            {record.voided.reason} ({record.voided.by})
          </p>
        </Caution>
      ) : (
        <section aria-label="Next due">
          <h2 ref={head} tabIndex={-1}>
            Next due
          </h2>
          <NextDue job={job} />
        </section>
      )}
      {record.voided ? null : <Labels job={job} />}
      <JobPhotos job={job} />
      <h2 style={{ marginBottom: 8 }}>The record</h2>
      <RecordTable records={[record]} withMachine={false} />
      <div style={{ marginTop: 16 }}>
        <Button component={Link} to="/">
          Back to Today
        </Button>
      </div>
    </>
  );
}
