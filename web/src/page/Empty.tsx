import type { ReactNode } from 'react';
import styles from './page.module.css';

/** Shown where there is nothing yet, with the way to the first. */
export function Empty({ title, children }: { title: string; children?: ReactNode }) {
  return (
    <div className={styles.empty}>
      <h2>{title}</h2>
      {children}
    </div>
  );
}
