import Button from '@mui/material/Button';
import type { TodayMachineDto } from '@yugator/contracts';
import { Link } from 'react-router';
import { Plate } from '../page/Plate.js';
import { reasonWords } from '../schedule/dueWords.js';
import { HoursTape } from '../schedule/HoursTape.js';
import { tapeMarks } from '../schedule/hoursTape.js';
import { useIsOneOf } from '../session/useSession.js';
import { countWords, hoursWords } from '../words/figures.js';
import styles from './today.module.css';

/** The one next act for a machine. */
function act(machine: TodayMachineDto, mayWork: boolean): { word: string; to: string } {
  const page = `/fleet/${machine.id}`;
  if (machine.openJobId)
    return { word: mayWork ? 'Go on with job' : 'Look', to: `/jobs/${machine.openJobId}` };
  if (!mayWork || machine.state === 'coming' || machine.state === 'fine') return { word: 'Look', to: page };
  return machine.state === 'noRecord' ? { word: 'Say when', to: page } : { word: 'Open job', to: page };
}

/** The line that decided the machine's place, and how many more stand as badly. */
function Reason({ machine, today }: { machine: TodayMachineDto; today: string }) {
  const [worst, ...others] = machine.lines;
  if (!worst) return null;
  const more = others.filter((line) => line.state === worst.state).length;
  return (
    <span className={styles.reason}>
      {reasonWords(worst, today)}
      {more ? `; and ${countWords(more, 'more item', 'more items')}` : ''}
    </span>
  );
}

interface Props {
  readonly machine: TodayMachineDto;
  readonly today: string;
  /** the worst of all: the act to begin with */
  readonly isNext: boolean;
}

export function MachineRow({ machine, today, isNext }: Props) {
  const { word, to } = act(machine, useIsOneOf('crewLead', 'mechanic'));
  return (
    <li className={styles.row}>
      <Plate tag={machine.tag} to={machine.id} />
      <span className={styles.what}>
        <b>{machine.name}</b>
        <Reason machine={machine} today={today} />
      </span>
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
