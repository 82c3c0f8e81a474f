import { Link } from 'react-router';
import styles from './plate.module.css';

/** A machine's tag as it is stamped on its plate; a link to the machine where `to` its id is given. */
export function Plate({ tag, to }: { tag: string; to?: string }) {
  const plate = <span className={styles.plate}>{tag}</span>;
  return to ? (
    <Link className={styles.link} to={`/fleet/${to}`}>
      {plate}
    </Link>
  ) : (
    plate
  );
}
