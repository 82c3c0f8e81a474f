import { useQuery } from '@tanstack/react-query';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import { FirstVisit } from './FirstVisit.js';
import { sessionQueries } from './sessionQueries.js';
import styles from './session.module.css';
import { SignInForm } from './SignInForm.js';

/** The door: sign-in, or on an empty Yugator the first crew lead. */
export function SignInPage() {
  const welcome = useQuery({ ...sessionQueries.welcome(), staleTime: 0 });
  return (
    <main className={styles.door}>
      <div className={styles.mark}>
        Yugator
        <i aria-hidden />
      </div>
      {welcome.data ? (
        welcome.data.needsCrewLead ? (
          <FirstVisit />
        ) : (
          <SignInForm isDemonstration={welcome.data.demonstration} />
        )
      ) : welcome.error ? (
        <Failed error={welcome.error} again={welcome.refetch} />
      ) : (
        <Loading rows={3} />
      )}
    </main>
  );
}
