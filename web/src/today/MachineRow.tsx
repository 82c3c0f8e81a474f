import Button from '@mui/material/Button';
import type { TodayMachineDto } from '@yugator/contracts';
import { useState } from 'react';
import { Link } from 'react-router';
import { Plate } from '../page/Plate.js';
import { baselineWords, reasonWords, standingWords } from '../schedule/dueWords.js';
import { HoursTape } from '../schedule/HoursTape.js';
import { tapeMarks } from '../schedule/hoursTape.js';
import { StateMark } from '../schedule/StateShape.js';
import { useIsOneOf, useMayRound } from '../session/useSession.js';
import { countWords, hoursWords } from '../words/figures.js';
import styles from './today.module.css';

/** The one next act for a machine. */
function act(
  machine: TodayMachineDto,
  mayWork: boolean,
  isStale: boolean,
  isOwn: boolean,
): { word: string; to: string } {
  const page = `/fleet/${machine.id}`;
  if (isOwn) return { word: 'Walk round', to: `${page}/walk` };
  const { state } = machine;
  if (machine.openJobId)
    return { word: mayWork ? 'Go on with job' : 'Look', to: `/jobs/${machine.openJobId}` };
  if (mayWork && state === 'noRecord') return { word: 'Say when', to: page };
  if (mayWork && (state === 'overdue' || state === 'ripe')) return { word: 'Open job', to: `${page}/visit` };
  return isStale ? { word: 'Read meter', to: '/round' } : { word: 'Look', to: page };
}

/** The line that decided the machine's place, and the others one by one, each in its sentence. */
function Reasons({ machine, today }: { machine: TodayMachineDto; today: string }) {
  const [worst, ...others] = machine.lines;
  if (!worst) return <span className={styles.reason}>Nothing due within 30 days</span>;
  return (
    <>
      <span className={styles.reason}>
        {worst.itemName}: {standingWords(worst, today)}
        <span className={styles.opened}>, {baselineWords(worst.baseline, today)}</span>
      </span>
      {others.length ? (
        <details className={styles.others}>
          <summary>and {countWords(others.length, 'more item', 'more items')}</summary>
          <ul>
            {others.map((line) => (
              <li key={line.itemId}>
                <StateMark state={line.state} />
                <span>{reasonWords(line, today)}</span>
              </li>
            ))}
          </ul>
        </details>
      ) : null}
    </>
  );
}

interface Props {
  readonly machine: TodayMachineDto;
  readonly today: string;
  /** the worst of all: the act to begin with */
  readonly isNext: boolean;
  /** its meter was not read for too long */
  readonly isStale: boolean;
  /** one that the operator drives: the act is to walk round it */
  readonly isOwn?: boolean;
}

export function MachineRow({ machine, today, isNext, isStale, isOwn = false }: Props) {
  const mayRead = useMayRound();
  const { word, to } = act(machine, useIsOneOf('crewLead', 'mechanic'), isStale && mayRead, isOwn);
  const [isOpen, setOpen] = useState(false);
  return (
    <li className={styles.row} data-open={isOpen || undefined}>
      <Plate tag={machine.tag} to={machine.id} />
      <span className={styles.what}>
        <b>{machine.name}</b>
        {machine.isOutOfService ? <span className={styles.out}>out of service</span> : null}
        <Reasons machine={machine} today={today} />
      </span>
      <button
        type="button"
        className={styles.opener}
        aria-expanded={isOpen}
        aria-label={`More about ${machine.tag} ${machine.name}`}
        onClick={() => setOpen(!isOpen)}
      >
        <svg viewBox="0 0 24 24" aria-hidden>
          <path d="M6 9l6 6 6-6" />
        </svg>
      </button>
      <span className={`fig ${styles.life}`}>
        {hoursWords(machine.life)}
        <span className="visually-hidden"> hours</span>
      </span>
      <span className={styles.tape}>
        <HoursTape marks={tapeMarks(machine.lines, machine.hoursPerWeek, today)} />
      </span>
      <Button
        component={Link}
        to={to}
        {...(isNext ? { variant: 'contained', color: 'primary' } : {})}
        aria-label={`${word}: ${machine.tag} ${machine.name}`}
      >
        {word}
      </Button>
    </li>
  );
}
