import { isTooFull } from '@yugator/core';
import type { DayLoad } from '@yugator/core';
import styles from './plan.module.css';

/** So many minutes of those there are, and a bar of it. */
export function Minutes({ taken, there }: { taken: number; there: number }) {
  return (
    <span>
      <span className="fig">{Math.round(taken)}</span> of <span className="fig">{there}</span> min
    </span>
  );
}

export function Bar({ taken, there }: { taken: number; there: number }) {
  return (
    <span className={styles.bar} aria-hidden>
      <span style={{ width: `${Math.min(100, (100 * taken) / Math.max(1, there))}%` }} />
    </span>
  );
}

/** How full the workshop is: what is taken of what there is. */
export function Fullness({ loads }: { loads: readonly DayLoad[] }) {
  if (loads.length === 0) return <span className={styles.closed}>closed</span>;
  const taken = loads.reduce((sum, load) => sum + load.taken, 0);
  const minutes = loads.reduce((sum, load) => sum + load.minutes, 0);
  const visits = loads.reduce((sum, load) => sum + load.visits, 0);
  const bays = loads.reduce((sum, load) => sum + load.bays, 0);
  const isOver = loads.some(isTooFull);
  return (
    <span className={isOver ? styles.over : undefined}>
      <Minutes taken={taken} there={minutes} />{' '}
      <span>
        <span className="fig">{visits}</span> of <span className="fig">{bays}</span> in
      </span>
      {isOver ? <b> too full</b> : null}
      <Bar taken={taken} there={minutes} />
    </span>
  );
}
