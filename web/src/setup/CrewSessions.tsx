import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import type { CrewSessionDto } from '@yugator/contracts';
import { sentenceOf } from '../api/problem.js';
import { useWrite } from '../api/useWrite.js';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import { useNotice } from '../page/Notice.js';
import table from '../page/table.module.css';
import { sessionQueries } from '../session/sessionQueries.js';
import { useSession } from '../session/useSession.js';
import { momentWords } from '../words/dates.js';

function Row({ session }: { session: CrewSessionDto }) {
  const { site, today } = useSession();
  const say = useNotice();
  const { id, person, device, address, isOwnDevice, isThis, createdAt, lastSeenAt } = session;
  const end = useWrite<undefined, undefined>(
    () => ({ method: 'DELETE', path: `/sessions/${id}` }),
    ['people'],
    () => say(`${person} is signed out on ${device}.`),
  );
  return (
    <tr>
      <td>
        <b>{person}</b>
      </td>
      <td data-label="On:">
        {device}
        <div className="soft">
          {isThis ? 'this one' : address}
          {isOwnDevice ? ', their own: for a season' : ''}
        </div>
      </td>
      <td data-label="Since:">{momentWords(createdAt, site.timeZone, today)}</td>
      <td data-label="Last used:">{momentWords(lastSeenAt, site.timeZone, today)}</td>
      <td>
        {isThis ? null : (
          <Button
            size="small"
            loading={end.isPending}
            aria-label={`Sign out: ${person}, ${device}, ${address}`}
            onClick={() => end.mutate(undefined, { onError: (error) => say(sentenceOf(error)) })}
          >
            Sign out
          </Button>
        )}
      </td>
    </tr>
  );
}

/** Where the crew is signed in: a phone that was lost or changed hands is signed out from here. */
export function CrewSessions() {
  const { data, error, refetch } = useQuery(sessionQueries.ofCrew());
  return (
    <section aria-label="Signed in now" style={{ marginTop: 32 }}>
      <h2 style={{ marginBottom: 8 }}>Signed in now</h2>
      {data ? (
        <table className={table.table} style={{ maxWidth: 900 }}>
          <thead>
            <tr>
              <th>Who</th>
              <th>On</th>
              <th>Since</th>
              <th>Last used</th>
              <th>
                <span className="visually-hidden">Sign out</span>
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
