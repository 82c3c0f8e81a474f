import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import useMediaQuery from '@mui/material/useMediaQuery';
import { useQuery } from '@tanstack/react-query';
import type { JobDto } from '@yugator/contracts';
import { lazy, Suspense, useEffect, useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { useOutbox } from '../outbox/useOutbox.js';
import { Caution } from '../page/Caution.js';
import { Empty } from '../page/Empty.js';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import { PageHead } from '../page/PageHead.js';
import { PrintLinks } from '../page/PrintLinks.js';
import { Plate } from '../page/Plate.js';
import { useIsOneOf, useSession } from '../session/useSession.js';
import { AddItem } from './AddItem.js';
import { dayWords } from '../words/dates.js';
import { countWords } from '../words/figures.js';
import { DropJob } from './DropJob.js';
import { FetchList, TimeWords } from './FetchList.js';
import styles from './job.module.css';
import { jobQueries } from './jobQueries.js';
import { withWaiting } from './keptStep.js';
import { JobPhotos } from './JobPhotos.js';
import { OpenDefects } from './OpenDefects.js';
import { Outcomes } from './Outcomes.js';
import { PauseJob } from './PauseJob.js';
import { useSheet } from './useSheet.js';

// Of the sheet one view is looked at, and of the job one end.
const JobDone = lazy(async () => ({ default: (await import('./JobDone.js')).JobDone }));
const SignOff = lazy(async () => ({ default: (await import('./SignOff.js')).SignOff }));
const loadSteps = () => import('./StepView.js');
const loadSheet = () => import('./SheetView.js');
const StepView = lazy(async () => ({ default: (await loadSteps()).StepView }));
const SheetView = lazy(async () => ({ default: (await loadSheet()).SheetView }));

function BeforeYouBegin() {
  return (
    <Caution title="Before you begin" quiet>
      <p>
        The maker&rsquo;s manual and local rules come first. Brakes, fuel injection, electrical faults and
        lifting gear belong to a licensed technician.
      </p>
    </Caution>
  );
}

/** Whether a job is for the machine's open defects alone. */
function isForDefects({ items }: JobDto): boolean {
  return items.length === 0;
}

/** What a job is for, or how far it is. */
function progressWords(job: JobDto): string {
  if (isForDefects(job)) return `for ${countWords(job.defects.length, 'open defect')}`;
  const settled = job.items.filter(({ outcome }) => outcome !== null).length;
  return `${settled} of ${countWords(job.items.length, 'item')} settled`;
}

type Mode = 'step' | 'whole';
/** The kit's own grey is too faint on chalk. */
const TOGGLE = { color: 'var(--ink)', minHeight: 44 };

function OpenJob({ job }: { job: JobDto }) {
  const mayWork = useIsOneOf('crewLead', 'mechanic');
  const isPhone = useMediaQuery('(max-width: 700px)');
  const [chosen, setChosen] = useState<Mode | null>(null);
  // The other view is there before somebody turns to it; what does not arrive is asked for again then.
  useEffect(() => void Promise.allSettled([loadSteps(), loadSheet()]), []);
  const mode = chosen ?? (isPhone ? 'step' : 'whole');
  const sheet = useSheet(job);
  // Once the work has begun, the step in hand comes first.
  const isBegun = job.steps.some(({ isDone }) => isDone);
  const before = (
    <div style={{ margin: '10px 0' }}>
      <TimeWords sheet={sheet} />
      <FetchList sheet={sheet} needed={job} setUp={job.setUp} vessels={job.vessels} />
      <PrintLinks word="Print the sheet" path={`/jobs/${job.id}/sheet.pdf`} />
    </div>
  );
  return (
    <div className={styles.sheet}>
      <div>
        <div className={styles.modes}>
          <ToggleButtonGroup
            exclusive
            size="small"
            value={mode}
            onChange={(_event, next: Mode | null) => next && setChosen(next)}
            aria-label="How the sheet is shown"
          >
            <ToggleButton value="step" sx={TOGGLE}>
              Step by step
            </ToggleButton>
            <ToggleButton value="whole" sx={TOGGLE}>
              Whole sheet
            </ToggleButton>
          </ToggleButtonGroup>
        </div>
        {job.pausedReason === null ? null : <PauseJob job={job} />}
        {mode === 'whole' ? <BeforeYouBegin /> : null}
        {isForDefects(job) ? <OpenDefects defects={job.defects} /> : null}
        {isBegun && mode === 'step' ? null : before}
        <Suspense fallback={<Loading />}>
          {mode === 'step' ? (
            <StepView job={job} sheet={sheet} mayWork={mayWork} />
          ) : (
            <SheetView job={job} sheet={sheet} mayWork={mayWork} />
          )}
        </Suspense>
        {isBegun && mode === 'step' ? before : null}
      </div>
      <div className={styles.beside}>
        {isForDefects(job) ? null : <Outcomes job={job} mayWork={mayWork} />}
        {mayWork ? (
          <>
            <AddItem job={job} sheet={sheet} />
            <JobPhotos job={job} />
            <Suspense fallback={<Loading rows={4} />}>
              <SignOff key={job.id} job={job} />
            </Suspense>
            <div className={styles.away}>
              {job.pausedReason === null ? <PauseJob job={job} /> : null}
              <DropJob job={job} />
            </div>
          </>
        ) : null}
      </div>
    </div>
  );
}

/** One visit of one machine: its sheet, what became of its items, and the sign-off. */
export function JobPage() {
  const { jobId = '' } = useParams();
  const { today, person } = useSession();
  const { data, error, refetch } = useQuery(jobQueries.one(jobId));
  const waiting = useOutbox();
  const job = useMemo(() => data && withWaiting(data, waiting, person.name), [data, waiting, person.name]);
  if (!job) return error ? <Failed error={error} again={refetch} /> : <Loading />;
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
            ? `Job opened ${dayWords(job.openedOn, today)} by ${job.openedBy}; ${progressWords(job)}`
            : undefined
        }
      />
      {job.state === 'open' ? <OpenJob job={job} /> : null}
      {job.state === 'dropped' ? (
        <Empty title="This job was put away without a record.">
          <Link to={`/fleet/${job.machine.id}`}>Back to {job.machine.tag}</Link>
        </Empty>
      ) : null}
      {job.record ? (
        <Suspense fallback={<Loading />}>
          <JobDone job={job} record={job.record} />
        </Suspense>
      ) : null}
    </>
  );
}
