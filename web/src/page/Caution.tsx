import type { ReactNode } from 'react';
import styles from './page.module.css';

/** A block that must not be overlooked. */
export function Caution({
  title,
  children,
  quiet = false,
}: {
  title: string;
  children?: ReactNode;
  quiet?: boolean;
}) {
  return (
    <div className={styles.caution} role={quiet ? 'note' : 'alert'}>
      <strong>{title}</strong>
      {children}
    </div>
  );
}
