import { useQuery } from '@tanstack/react-query';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import table from '../page/table.module.css';
import { useIsOneOf } from '../session/useSession.js';
import { EditPerson, NewPerson } from './PersonDialog.js';
import { peopleQueries } from './peopleQueries.js';
import { ROLE_MEANING, ROLE_WORDS } from './roleWords.js';

/** Who works here and what each may do. */
export function Crew() {
  const { data, error, refetch } = useQuery(peopleQueries.list());
  const isLead = useIsOneOf('crewLead');
  if (!data) return error ? <Failed error={error} again={refetch} /> : <Loading rows={3} />;
  return (
    <section aria-label="Crew">
      <div
        style={{
          display: 'flex',
          justifyContent: 'space-between',
          alignItems: 'end',
          marginBottom: 8,
          maxWidth: 760,
        }}
      >
        <h2>Crew</h2>
        {isLead ? <NewPerson /> : null}
      </div>
      <table className={table.table} style={{ maxWidth: 760 }}>
        <thead>
          <tr>
            <th>Name</th>
            <th>Role</th>
            <th>
              <span className="visually-hidden">Change</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {data.map((person) => (
            <tr key={person.id}>
              <td>
                <b>{person.name}</b>
                {person.active ? null : <span className="soft"> has left</span>}
              </td>
              <td>
                {ROLE_WORDS[person.role]} <span className="soft">{ROLE_MEANING[person.role]}</span>
              </td>
              <td>{isLead ? <EditPerson key={person.version} person={person} /> : null}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
