import { useQuery } from '@tanstack/react-query';
import type { MachineDetailDto } from '@yugator/contracts';
import { lazy, Suspense } from 'react';
import { Link } from 'react-router';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import { seasonQueries } from '../season/seasonQueries.js';
import { intervalWords } from '../words/figures.js';

/** Only a crew lead needs it, and everybody reads the page. */
const ParticipationForm = lazy(() => import('./ParticipationForm.js'));

/** In which seasons the machine works, with its planned hours a week; between them it is laid up. */
export function Participation({ machine, mayChange }: { machine: MachineDetailDto; mayChange: boolean }) {
  const { data, error, refetch } = useQuery(seasonQueries.all());
  if (!data) return error ? <Failed error={error} again={refetch} /> : <Loading rows={2} />;
  const own = machine.participation.flatMap(({ seasonId, hoursPerWeek }) => {
    const season = data.seasons.find(({ id }) => id === seasonId);
    return season ? `${intervalWords(hoursPerWeek)} h a week in ${season.name}` : [];
  });
  return (
    <section style={{ display: 'grid', gap: 8 }} aria-label="Seasons of this machine">
      <h2>Its seasons</h2>
      <p className="soft">
        {own.length
          ? `${own.join(', ')}. Outside of them it is laid up.`
          : 'It has no plan: its own average of 90 days is all that is known.'}
      </p>
      {mayChange && data.seasons.length ? (
        <Suspense fallback={<Loading rows={2} />}>
          <ParticipationForm machine={machine} seasons={data.seasons} />
        </Suspense>
      ) : null}
      {data.seasons.length === 0 ? <Link to="/season">Set up the seasons of the site</Link> : null}
    </section>
  );
}
