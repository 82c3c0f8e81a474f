import { Link } from 'react-router';
import { countWords } from '../words/figures.js';
import styles from './outbox.module.css';
import { useOutbox } from './useOutbox.js';

/** On every screen: how much waits to be sent, and what came back. */
export function OutboxBar() {
  const entries = useOutbox();
  const refused = entries.filter((entry) => entry.refused !== null).length;
  const waiting = entries.length - refused;
  if (entries.length === 0) return null;
  return (
    <p className={styles.bar} role="status" data-refused={refused > 0 || undefined}>
      <Link to="/outbox">
        {[
          waiting ? `${waiting} waiting to be sent` : '',
          refused ? `${countWords(refused, 'entry', 'entries')} came back: see why` : '',
        ]
          .filter(Boolean)
          .join('; ')}
      </Link>
    </p>
  );
}
