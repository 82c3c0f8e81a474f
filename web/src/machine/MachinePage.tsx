import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import type { MachineDetailDto } from '@yugator/contracts';
import { lazy, Suspense } from 'react';
import { Link, NavLink, useParams } from 'react-router';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import { PageHead } from '../page/PageHead.js';
import { Plate } from '../page/Plate.js';
import { useIsOneOf, useMayRound, useSession } from '../session/useSession.js';
import { momentWords } from '../words/dates.js';
import { hoursWords, intervalWords } from '../words/figures.js';
import { seasonWords } from './seasonWords.js';
import { CLASS_WORDS, FUEL_WORDS } from './classWords.js';
import { EnterHours } from './EnterHours.js';
import { DueNow } from './DueNow.js';
import { fleetQueries } from './fleetQueries.js';
import styles from './machine.module.css';
import { TopUp } from '../topUp/TopUp.js';
import { StatusChange } from './StatusChange.js';

// Fetched when they are first opened: the charts alone weigh as much as all the rest.
const Readings = lazy(async () => ({ default: (await import('./Readings.js')).Readings }));
const RecordList = lazy(async () => ({ default: (await import('../records/RecordList.js')).RecordList }));
const Details = lazy(async () => ({ default: (await import('./Details.js')).Details }));
const Milestones = lazy(async () => ({ default: (await import('../schedule/Milestones.js')).Milestones }));
const SpecCard = lazy(async () => ({ default: (await import('./SpecCard.js')).SpecCard }));
const Fits = lazy(async () => ({ default: (await import('./Fits.js')).Fits }));
const PartsUsed = lazy(async () => ({ default: (await import('../buying/PartsUsed.js')).PartsUsed }));
const Use = lazy(async () => ({ default: (await import('./Use.js')).Use }));

const TABS = [
  ['schedule', 'Schedule'],
  ['milestones', 'Milestones'],
  ['spec', 'Spec card'],
  ['fits', 'What fits'],
  ['parts', 'Parts used'],
  ['use', 'Use'],
  ['readings', 'Readings'],
  ['record', 'Record'],
  ['details', 'Details'],
] as const;

function Figures({ machine }: { machine: MachineDetailDto }) {
  const { site, today } = useSession();
  const replaced = machine.lastShown !== null && Math.abs(machine.lastShown - machine.life) >= 0.05;
  return (
    <div className={styles.figures}>
      <span>
        <span className={`fig ${styles.big}`}>{hoursWords(machine.life)}</span>{' '}
        <span className="soft">
          h{machine.lastReadAt ? `, read ${momentWords(machine.lastReadAt, site.timeZone, today)}` : ''}
          {replaced ? ` (the meter shows ${hoursWords(machine.lastShown ?? 0)})` : ''}
        </span>
      </span>
      <span>
        <span className={`fig ${styles.middle}`}>
          {machine.hoursPerWeek === null ? '–' : hoursWords(machine.hoursPerWeek)}
        </span>{' '}
        <span className="soft">
          h a week now
          {machine.plannedPerWeek === null
            ? ''
            : ` (plan ${intervalWords(Number(machine.plannedPerWeek.toFixed(1)))})`}
        </span>
      </span>
      <span>{seasonWords(machine, today)}</span>
    </div>
  );
}

function TabPanel({ machine, tab }: { machine: MachineDetailDto; tab: string }) {
  switch (tab) {
    case 'milestones':
      return <Milestones machine={machine} />;
    case 'spec':
      return <SpecCard machine={machine} />;
    case 'fits':
      return <Fits machine={machine} />;
    case 'parts':
      return <PartsUsed machine={machine} />;
    case 'use':
      return <Use machine={machine} />;
    case 'readings':
      return <Readings machine={machine} />;
    case 'record':
      return <RecordList machineId={machine.id} />;
    case 'details':
      return <Details machine={machine} />;
    default:
      return <DueNow machine={machine} />;
  }
}

/** One machine: where it stands, what is due when, and what was done. */
export function MachinePage() {
  const { machineId = '', tab = 'schedule' } = useParams();
  const { data: machine, error, refetch } = useQuery(fleetQueries.one(machineId));
  const mayWork = useIsOneOf('crewLead', 'mechanic');
  const mayTopUp = useIsOneOf('crewLead', 'mechanic', 'operator');
  const mayRound = useMayRound();
  if (!machine) return error ? <Failed error={error} again={refetch} /> : <Loading />;
  const about = [
    CLASS_WORDS[machine.machineClass],
    FUEL_WORDS[machine.fuel],
    `${machine.make} ${machine.model}`.trim(),
    machine.shed,
  ];
  return (
    <>
      <PageHead
        name={`${machine.tag} ${machine.name}`}
        title={
          <span className={styles.title}>
            <Plate tag={machine.tag} /> {machine.name}
          </span>
        }
        under={about.filter(Boolean).join(' · ')}
      >
        {mayWork ? <StatusChange machine={machine} /> : null}
        {mayRound ? (
          <>
            <Button component={Link} to={`/fleet/${machine.id}/walk`}>
              Walk round
            </Button>
            {mayTopUp ? <TopUp machineId={machine.id} /> : null}
            <EnterHours machineId={machine.id} />
          </>
        ) : null}
      </PageHead>
      <Figures machine={machine} />
      <nav className={styles.tabs} aria-label={`Pages of ${machine.tag}`}>
        {TABS.map(([name, word]) => (
          <NavLink key={name} end to={`/fleet/${machine.id}${name === 'schedule' ? '' : `/${name}`}`}>
            {word}
          </NavLink>
        ))}
      </nav>
      <Suspense fallback={<Loading />}>
        <TabPanel machine={machine} tab={tab} />
      </Suspense>
    </>
  );
}
