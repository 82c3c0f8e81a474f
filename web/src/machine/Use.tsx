import { useQuery } from '@tanstack/react-query';
import type { MachineDetailDto, WeekOfUseDto } from '@yugator/contracts';
import { Suspense } from 'react';
import { drawnLater } from '../chart/drawnLater.js';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import table from '../page/table.module.css';
import { useIsOneOf, useSession } from '../session/useSession.js';
import { dayWords } from '../words/dates.js';
import { hoursWords } from '../words/figures.js';
import { fleetQueries } from './fleetQueries.js';
import { Consumption } from '../topUp/Consumption.js';
import { Participation } from './Participation.js';

const UseChart = drawnLater(async () => (await import('./UseChart.js')).UseChart);

function summary(weeks: readonly WeekOfUseDto[]): string {
  const read = weeks.filter(({ observed }) => observed !== null);
  const planned = read.reduce((sum, week) => sum + week.planned, 0);
  const observed = read.reduce((sum, week) => sum + (week.observed ?? 0), 0);
  if (read.length === 0) return 'No week was read yet.';
  const share =
    planned > 0
      ? `, ${Math.round((100 * observed) / planned)} % of the ${hoursWords(planned)} h planned`
      : '';
  return `${hoursWords(observed)} h in the ${read.length} weeks that were read${share}.`;
}

function Weeks({ weeks, today }: { weeks: readonly WeekOfUseDto[]; today: string }) {
  return (
    <>
      <Suspense fallback={<div style={{ height: 280 }} />}>
        <UseChart weeks={weeks} />
      </Suspense>
      <p className="soft">
        Dark bars: hours run in each week, by the readings. Copper line: hours planned by its seasons.
      </p>
      <details>
        <summary style={{ minHeight: 40, display: 'inline-flex', alignItems: 'center' }}>
          The same as a table
        </summary>
        <table className={table.table}>
          <thead>
            <tr>
              <th>Week from</th>
              <th className={table.number}>Planned</th>
              <th className={table.number}>Run</th>
            </tr>
          </thead>
          <tbody>
            {weeks.toReversed().map(({ from, planned, observed }) => (
              <tr key={from}>
                <td>{dayWords(from, today)}</td>
                <td className={table.number}>{hoursWords(planned)}</td>
                <td className={table.number}>{observed === null ? 'not read' : hoursWords(observed)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </details>
    </>
  );
}

/** What the machine is planned to run, and what it did: the ground of every expected date. */
export function Use({ machine }: { machine: MachineDetailDto }) {
  const { today } = useSession();
  const isLead = useIsOneOf('crewLead');
  const { data, error, refetch } = useQuery(fleetQueries.use(machine.id));
  if (!data) return error ? <Failed error={error} again={refetch} /> : <Loading />;
  return (
    <div style={{ display: 'grid', gap: 12 }}>
      <h2>The last {data.length} weeks</h2>
      <p>{summary(data)}</p>
      <Weeks weeks={data} today={today} />
      <Consumption machineId={machine.id} />
      <Participation machine={machine} mayChange={isLead} />
    </div>
  );
}
