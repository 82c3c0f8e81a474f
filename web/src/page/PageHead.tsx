import { useEffect } from 'react';
import type { ReactNode } from 'react';
import styles from './page.module.css';
import { useHeadFocus } from './useHeadFocus.js';

/** The head of a screen: its news in words, and what can be done on it. */
export function PageHead({
  title,
  name,
  under,
  children,
}: {
  title: ReactNode;
  name: string;
  under?: ReactNode;
  children?: ReactNode;
}) {
  useEffect(() => {
    document.title = `${name} · Yugator`;
  }, [name]);
  const head = useHeadFocus<HTMLHeadingElement>();
  return (
    <header className={styles.head}>
      <div>
        <h1 ref={head} tabIndex={-1}>
          {title}
        </h1>
        {under ? <p className="soft">{under}</p> : null}
      </div>
      {children ? <div className={styles.acts}>{children}</div> : null}
    </header>
  );
}
