import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import type { MachineDetailDto } from '@yugator/contracts';
import { bites } from '@yugator/core';
import { lazy, Suspense } from 'react';
import { Link, useParams } from 'react-router';
import { Defects } from '../defect/Defects.js';
import { EnterHours } from '../machine/EnterHours.js';
import { fleetQueries } from '../machine/fleetQueries.js';
import { useAtHand } from '../offline/useAtHand.js';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import { PageHead } from '../page/PageHead.js';
import { Plate } from '../page/Plate.js';
import { reasonWords } from '../schedule/dueWords.js';
import { StateMark } from '../schedule/StateShape.js';
import { useIsOneOf, useMayRound, useSession } from '../session/useSession.js';
import { Thirsty } from '../topUp/Consumption.js';
import { TopUp } from '../topUp/TopUp.js';
import { momentWords } from '../words/dates.js';
import { hoursWords } from '../words/figures.js';
import styles from './field.module.css';
import { fieldQueries } from './fieldQueries.js';

const CardFigures = lazy(async () => ({ default: (await import('./CardFigures.js')).CardFigures }));

/** Lines that are told here; the machine's page has them all. */
const LINES_SHOWN = 5;

const STATUS_WORDS: Partial<Record<MachineDetailDto['status'], string>> = {
  outOfService: 'Out of service: do not use it',
  laidUp: 'Laid up',
  retired: 'Retired',
};

/** The acts of somebody who stands before the machine, the most frequent first. */
function Acts({ machine }: { machine: MachineDetailDto }) {
  const mayWork = useIsOneOf('crewLead', 'mechanic');
  const mayRead = useIsOneOf('crewLead', 'mechanic', 'operator');
  const mayRound = useMayRound();
  const { id, openJobId, status } = machine;
  if (status === 'retired') return null;
  return (
    <div className={styles.acts}>
      {mayRound ? (
        <>
          <Button component={Link} to={`/fleet/${id}/walk`} variant="contained" color="primary" size="large">
            Walk round
          </Button>
          <EnterHours machineId={id} word="Type hours" />
          {mayRead ? <TopUp machineId={id} /> : null}
        </>
      ) : null}
      {openJobId || mayWork ? (
        <Button component={Link} to={openJobId ? `/jobs/${openJobId}` : `/fleet/${id}/visit`}>
          {openJobId ? (mayWork ? 'Go on with job' : 'Look at the job') : 'Open job'}
        </Button>
      ) : null}
    </div>
  );
}

function Waiting({ machine }: { machine: MachineDetailDto }) {
  const { today } = useSession();
  const waiting = machine.lines.filter(({ state }) => bites(state));
  if (waiting.length === 0) return <p>Nothing is due.</p>;
  return (
    <ul className={styles.lines}>
      {waiting.slice(0, LINES_SHOWN).map((line) => (
        <li key={line.itemId}>
          <StateMark state={line.state} />
          <span>{reasonWords(line, today)}</span>
        </li>
      ))}
      {waiting.length > LINES_SHOWN ? <li>and {waiting.length - LINES_SHOWN} more</li> : null}
    </ul>
  );
}

function Field({ machine }: { machine: MachineDetailDto }) {
  const { site, today } = useSession();
  const { id, tag, name, life, lastReadAt, status } = machine;
  const warning = STATUS_WORDS[status];
  return (
    <>
      <PageHead
        name={`${tag} ${name}`}
        title={
          <span className={styles.title}>
            <Plate tag={tag} /> {name}
          </span>
        }
        under={
          <>
            <b className="fig">{hoursWords(life)}</b> h
            {lastReadAt ? `, read ${momentWords(lastReadAt, site.timeZone, today)}` : ''}
          </>
        }
      />
      {warning ? <p className={styles.status}>{warning}</p> : null}
      <Acts machine={machine} />
      <Defects machine={machine} />
      <Thirsty machineId={id} />
      <section aria-label="Due">
        <h2>Due</h2>
        <Waiting machine={machine} />
      </section>
      <Suspense fallback={<Loading rows={3} />}>
        <CardFigures machine={machine} />
      </Suspense>
      <p className={styles.more}>
        <Link to={`/fleet/${id}`}>All of {tag}: schedule, card, records</Link>
      </p>
    </>
  );
}

function OfMachine({ machineId }: { machineId: string }) {
  useAtHand(machineId);
  const { data, error, refetch } = useQuery(fleetQueries.one(machineId));
  if (data) return <Field machine={data} />;
  return error ? <Failed error={error} again={refetch} /> : <Loading />;
}

/** What the code on a machine opens: what somebody who stands before it wants to do, and its figures. */
export function FieldPage() {
  const { tag = '' } = useParams();
  const { data, error, refetch } = useQuery(fieldQueries.ofTag(tag));
  if (data) return <OfMachine machineId={data.id} />;
  return error ? <Failed error={error} again={refetch} /> : <Loading />;
}
