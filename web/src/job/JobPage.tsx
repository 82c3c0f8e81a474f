import { useQuery } from '@tanstack/react-query';
import type { JobDto } from '@yugator/contracts';
import { Link, useParams } from 'react-router';
import { Caution } from '../page/Caution.js';
import { Empty } from '../page/Empty.js';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import { PageHead } from '../page/PageHead.js';
import { Plate } from '../page/Plate.js';
import { useIsOneOf, useSession } from '../session/useSession.js';
import { dayWords } from '../words/dates.js';
import { countWords } from '../words/figures.js';
import { DropJob } from './DropJob.js';
import styles from './job.module.css';
import { JobDone } from './JobDone.js';
import { jobQueries } from './jobQueries.js';
import { SignOff } from './SignOff.js';
import { TickList } from './TickList.js';

function BeforeYouBegin() {
  return (
    <Caution title="Before you begin" quiet>
      <p>
        Key out, brake on, wheels chocked. Never work under a raised bed or deck without its lock or stands;
        block the blade and wear gloves before touching it. Hot oil burns. The maker&rsquo;s manual and local
        rules come first; brakes, fuel injection, electrical faults and lifting gear belong to a licensed
        technician.
      </p>
    </Caution>
  );
}

function OpenJob({ job }: { job: JobDto }) {
  const mayWork = useIsOneOf('crewLead', 'mechanic');
  return (
    <div className={styles.sheet}>
      <div>
        <BeforeYouBegin />
        <TickList job={job} mayTick={mayWork} />
        {mayWork ? <DropJob job={job} /> : null}
      </div>
      {mayWork ? <SignOff key={job.id} job={job} /> : null}
    </div>
  );
}

/** One visit of one machine: tick off what is done, then sign off. */
export function JobPage() {
  const { jobId = '' } = useParams();
  const { today } = useSession();
  const { data: job, error, refetch } = useQuery(jobQueries.one(jobId));
  if (!job) return error ? <Failed error={error} again={refetch} /> : <Loading />;
  const ticked = job.items.filter((item) => item.ticked).length;
  return (
    <>
      <PageHead
        name={`Job on ${job.machine.tag}`}
        title={
          <span className={styles.title}>
            <Plate tag={job.machine.tag} to={job.machine.id} /> {job.machine.name}
          </span>
        }
        under={
          job.state === 'open'
            ? `Job opened ${dayWords(job.openedOn, today)} by ${job.openedBy}; ${ticked} of ${countWords(job.items.length, 'item')} done`
            : undefined
        }
      />
      {job.state === 'open' ? <OpenJob job={job} /> : null}
      {job.state === 'dropped' ? (
        <Empty title="This job was put away without a record.">
          <Link to={`/fleet/${job.machine.id}`}>Back to {job.machine.tag}</Link>
        </Empty>
      ) : null}
      {job.record ? <JobDone job={job} record={job.record} /> : null}
    </>
  );
}
