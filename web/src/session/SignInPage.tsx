import { useQuery } from '@tanstack/react-query';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import { useState } from 'react';
import { FirstVisit } from './FirstVisit.js';
import { sessionQueries } from './sessionQueries.js';
import styles from './session.module.css';
import { ShedDoor } from './ShedDoor.js';
import { SignInForm } from './SignInForm.js';

/** The door: sign-in, or on an empty Yugator the first crew lead. */
export function SignInPage() {
  const welcome = useQuery({ ...sessionQueries.welcome(), staleTime: 0 });
  const door = useQuery({ ...sessionQueries.door(), staleTime: 0 });
  const [withPassword, setWithPassword] = useState(false);
  const isShed = Boolean(door.data?.device) && !withPassword;
  return (
    <main className={styles.door}>
      <div className={styles.mark}>
        Yugator
        <i aria-hidden />
      </div>
      {welcome.data && !door.isPending ? (
        welcome.data.needsCrewLead ? (
          <FirstVisit />
        ) : door.data && isShed ? (
          <ShedDoor door={door.data} onPassword={() => setWithPassword(true)} />
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
