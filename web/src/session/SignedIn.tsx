import { useQuery } from '@tanstack/react-query';
import { Navigate, useLocation } from 'react-router';
import { ApiProblem } from '../api/problem.js';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import { Shell } from '../shell/Shell.js';
import { sessionQueries } from './sessionQueries.js';
import { SessionContext } from './useSession.js';

/** Lets in who is signed in; others go to the sign-in and come back afterwards. */
export function SignedIn() {
  const session = useQuery(sessionQueries.current());
  const { pathname, search } = useLocation();
  if (session.error instanceof ApiProblem && session.error.status === 401) {
    return <Navigate to="/sign-in" replace state={{ from: pathname + search }} />;
  }
  if (session.data) {
    return (
      <SessionContext.Provider value={session.data}>
        <Shell />
      </SessionContext.Provider>
    );
  }
  return (
    <main style={{ padding: 24 }}>
      {session.error ? <Failed error={session.error} again={session.refetch} /> : <Loading />}
    </main>
  );
}
