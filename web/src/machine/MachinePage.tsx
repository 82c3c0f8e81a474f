import { useQuery } from '@tanstack/react-query';
import type { MachineDetailDto } from '@yugator/contracts';
import { NavLink, useParams } from 'react-router';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import { PageHead } from '../page/PageHead.js';
import { Plate } from '../page/Plate.js';
import { RecordList } from '../records/RecordList.js';
import { useIsOneOf, useSession } from '../session/useSession.js';
import { momentWords } from '../words/dates.js';
import { hoursWords } from '../words/figures.js';
import { CLASS_WORDS, FUEL_WORDS } from './classWords.js';
import { Details } from './Details.js';
import { EnterHours } from './EnterHours.js';
import { fleetQueries } from './fleetQueries.js';
import styles from './machine.module.css';
import { Readings } from './Readings.js';
import { Schedule } from './Schedule.js';

const TABS = [
  ['schedule', 'Schedule'],
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
        <span className="soft">h a week on average</span>
      </span>
    </div>
  );
}

function TabPanel({ machine, tab }: { machine: MachineDetailDto; tab: string }) {
  switch (tab) {
    case 'readings':
      return <Readings machine={machine} />;
    case 'record':
      return <RecordList machineId={machine.id} />;
    case 'details':
      return <Details machine={machine} />;
    default:
      return <Schedule machine={machine} />;
  }
}

/** One machine: where it stands, what is due when, and what was done. */
export function MachinePage() {
  const { machineId = '', tab = 'schedule' } = useParams();
  const { data: machine, error, refetch } = useQuery(fleetQueries.one(machineId));
  const mayRead = useIsOneOf('crewLead', 'mechanic', 'operator');
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
        {mayRead ? <EnterHours machine={machine} /> : null}
      </PageHead>
      <Figures machine={machine} />
      <nav className={styles.tabs} aria-label={`Pages of ${machine.tag}`}>
        {TABS.map(([name, word]) => (
          <NavLink key={name} end to={`/fleet/${machine.id}${name === 'schedule' ? '' : `/${name}`}`}>
            {word}
          </NavLink>
        ))}
      </nav>
      <TabPanel machine={machine} tab={tab} />
    </>
  );
}
