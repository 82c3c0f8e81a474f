import Button from '@mui/material/Button';
import type { WaitingRoundDto } from '@yugator/contracts';
import { Link } from 'react-router';
import { Plate } from '../page/Plate.js';
import { useMayRound } from '../session/useSession.js';
import { DoneNow } from '../walk/DoneNow.js';
import { countWords } from '../words/figures.js';
import styles from './today.module.css';

/** "3 checks wait" */
function waitingWords({ lines }: WaitingRoundDto): string {
  return `${countWords(lines.length, 'check')} wait${lines.length === 1 ? 's' : ''}`;
}

function Waiting({ round, mayWalk }: { round: WaitingRoundDto; mayWalk: boolean }) {
  const { id, tag, name, lines } = round;
  const words = waitingWords(round);
  return (
    <li className={styles.round}>
      <Plate tag={tag} to={id} />
      <span className={styles.what}>
        <b>{name}</b>
        <span className={styles.reason}>
          {words}
          <span className={styles.checks}>: {lines.map(({ itemName }) => itemName).join(', ')}</span>
        </span>
      </span>
      {mayWalk ? (
        <span className={styles.acts}>
          <DoneNow
            machine={round}
            lines={lines}
            word="Done"
            label={`Done: checks of ${tag} ${name}, ${words}`}
          />
          <Button
            component={Link}
            to={`/fleet/${id}/walk`}
            size="small"
            aria-label={`Walk round ${tag} ${name}`}
          >
            Walk round
          </Button>
        </span>
      ) : null}
    </li>
  );
}

interface Props {
  readonly rounds: readonly WaitingRoundDto[];
  /** how many more wait */
  readonly more: number;
  readonly title?: string;
}

/** Everyday work that waits: a line for each machine, whatever waits for a visit besides. */
export function Rounds({ rounds, more, title = 'Walk-rounds that wait' }: Props) {
  const mayWalk = useMayRound();
  if (rounds.length === 0) return null;
  return (
    <section aria-label={title}>
      <h2 className={styles.group}>{title}</h2>
      <ul className={styles.rows}>
        {rounds.map((round) => (
          <Waiting key={round.id} round={round} mayWalk={mayWalk} />
        ))}
      </ul>
      {more ? <p>{countWords(more, 'more machine')} wait for theirs.</p> : null}
    </section>
  );
}
