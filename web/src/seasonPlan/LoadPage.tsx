import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import type { LoadAheadDto, ShortageDto } from '@yugator/contracts';
import { Fragment, Suspense } from 'react';
import { Link } from 'react-router';
import { drawnLater } from '../chart/drawnLater.js';
import { Caution } from '../page/Caution.js';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import { PageHead } from '../page/PageHead.js';
import { Plate } from '../page/Plate.js';
import { useIsOneOf, useSession } from '../session/useSession.js';
import { dayWords, shortDayWords } from '../words/dates.js';
import { countWords } from '../words/figures.js';
import styles from './plan.module.css';
import { planQueries } from './planQueries.js';

const LoadChart = drawnLater(async () => (await import('./LoadChart.js')).LoadChart);

/** So many minutes in hours, as one says them: "14 h", "1.5 h". */
export function hoursOfMinutes(minutes: number): string {
  const hours = minutes / 60;
  return `${hours < 10 ? String(Number(hours.toFixed(1))) : String(Math.round(hours))}\u00a0h`;
}

function ShortageWords({ shortage }: { shortage: ShortageDto }) {
  const { today } = useSession();
  const { from, until, minutes, beginOn, machines } = shortage;
  return (
    <Caution
      title={`From ${dayWords(from, today)} to ${dayWords(until, today)} you are ${hoursOfMinutes(minutes)} short`}
    >
      <p>
        {beginOn === null
          ? 'Even if you begin today there is not time enough.'
          : `Begin on ${dayWords(beginOn, today)}, and there is time enough.`}{' '}
        {machines.length ? (
          <>
            Or have {countWords(machines.length, 'machine')} done elsewhere:{' '}
            {machines.map(({ id, tag }) => (
              <Fragment key={id}>
                <Plate tag={tag} to={id} />{' '}
              </Fragment>
            ))}
          </>
        ) : null}
      </p>
    </Caution>
  );
}

function Load({ weeks, shortages }: LoadAheadDto) {
  if (weeks.every(({ minutes }) => minutes === 0))
    return <p>Nobody said yet when the workshop is open: say it under Days of the workshop.</p>;
  return (
    <>
      {shortages.length ? (
        shortages.map((shortage) => <ShortageWords key={shortage.from} shortage={shortage} />)
      ) : (
        <p>In no week is more asked than there is time for, or can be caught up with at once.</p>
      )}
      <Suspense fallback={<div className={styles.chart} />}>
        <LoadChart weeks={weeks} />
      </Suspense>
      <details>
        <summary>The same in figures</summary>
        <table className={styles.load}>
          <thead>
            <tr>
              <th scope="col">Week from</th>
              <th scope="col">Asked, in minutes</th>
              <th scope="col">In 8 of 10 cases</th>
              <th scope="col">There is</th>
            </tr>
          </thead>
          <tbody>
            {weeks.map(({ from, expected, low, high, minutes }) => (
              <tr key={from}>
                <th scope="row">{shortDayWords(from)}</th>
                <td>{Math.round(expected)}</td>
                <td>
                  {Math.round(low)} to {Math.round(high)}
                </td>
                <td>{minutes}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </details>
      <p className="soft">
        Asked: as if each machine came whenever something of it is due, and what is due within three weeks
        were taken along. A forecast to see tight weeks by; who comes when, the plan says.
      </p>
    </>
  );
}

/** What is asked of the workshop in the coming year, against the time there is. */
export function LoadPage() {
  const mayRead = useIsOneOf('crewLead', 'mechanic');
  const mayPlan = useIsOneOf('crewLead');
  const { data, error, refetch } = useQuery({ ...planQueries.load(), enabled: mayRead });
  return (
    <>
      <PageHead
        name="Load ahead"
        title="Load ahead"
        under="What the coming year asks of the workshop, against the time there is"
      >
        <Button component={Link} to="/season/plan">
          Visits planned
        </Button>
        {mayPlan ? (
          <Button component={Link} to="/season/workshop">
            Days of the workshop
          </Button>
        ) : null}
      </PageHead>
      {!mayRead ? (
        <p>Mechanics and the crew lead see the load.</p>
      ) : data ? (
        <Load {...data} />
      ) : error ? (
        <Failed error={error} again={refetch} />
      ) : (
        <Loading />
      )}
    </>
  );
}
