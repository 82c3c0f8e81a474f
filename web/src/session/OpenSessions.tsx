import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import type { OpenSessionDto } from '@yugator/contracts';
import { sentenceOf } from '../api/problem.js';
import { useWrite } from '../api/useWrite.js';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import { useNotice } from '../page/Notice.js';
import table from '../page/table.module.css';
import { momentWords } from '../words/dates.js';
import { sessionQueries } from './sessionQueries.js';
import { useSession } from './useSession.js';

function Row({ session }: { session: OpenSessionDto }) {
  const { site, today } = useSession();
  const say = useNotice();
  const end = useWrite<undefined, undefined>(
    () => ({ method: 'DELETE', path: `/session/all/${session.id}` }),
    ['people'],
    () => say(`Signed out on ${session.device}.`),
  );
  return (
    <tr>
      <td>
        <b>{session.device}</b>
        <div className="soft">
          {session.isThis ? 'this one' : session.address}
          {session.isOwnDevice ? ', yours alone' : ''}
        </div>
      </td>
      <td data-label="Signed in:">{momentWords(session.createdAt, site.timeZone, today)}</td>
      <td data-label="Last used:">{momentWords(session.lastSeenAt, site.timeZone, today)}</td>
      <td>
        {session.isThis ? null : (
          <Button
            size="small"
            loading={end.isPending}
            aria-label={`Sign out there: ${session.device}, ${session.address}`}
            onClick={() => end.mutate(undefined, { onError: (error) => say(sentenceOf(error)) })}
          >
            Sign out there
          </Button>
        )}
      </td>
    </tr>
  );
}

/** Where the person is signed in, and the way to end it from here. */
export function OpenSessions() {
  const { data, error, refetch } = useQuery(sessionQueries.all());
  return (
    <section aria-label="Where you are signed in">
      <h2 style={{ marginBottom: 8 }}>Where you are signed in</h2>
      {data ? (
        <table className={table.table} style={{ maxWidth: 760 }}>
          <thead>
            <tr>
              <th>Device</th>
              <th>Signed in</th>
              <th>Last used</th>
              <th>
                <span className="visually-hidden">End it</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {data.map((session) => (
              <Row key={session.id} session={session} />
            ))}
          </tbody>
        </table>
      ) : error ? (
        <Failed error={error} again={refetch} />
      ) : (
        <Loading rows={3} />
      )}
    </section>
  );
}
