import { useQuery } from '@tanstack/react-query';
import type { MachineDetailDto, WeekOfUseDto } from '@yugator/contracts';
import {
  Bar,
  CartesianGrid,
  ComposedChart,
  Line,
  ResponsiveContainer,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import table from '../page/table.module.css';
import { useIsOneOf, useSession } from '../session/useSession.js';
import { dayWords } from '../words/dates.js';
import { hoursWords } from '../words/figures.js';
import { fleetQueries } from './fleetQueries.js';
import { Participation } from './Participation.js';

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

function Chart({ weeks, today }: { weeks: readonly WeekOfUseDto[]; today: string }) {
  const data = weeks.map(({ from, planned, observed }) => ({
    week: dayWords(from, from),
    planned,
    observed,
  }));
  const axis = { stroke: 'var(--soft)', tick: { fill: 'var(--soft)', fontSize: 13 } };
  return (
    <>
      <div
        style={{ height: 280, background: 'var(--sheet)', border: '1px solid var(--line)', padding: 8 }}
        aria-hidden
      >
        <ResponsiveContainer width="100%" height="100%">
          <ComposedChart
            accessibilityLayer={false}
            data={data}
            margin={{ top: 8, right: 12, bottom: 4, left: -14 }}
          >
            <CartesianGrid stroke="var(--line)" vertical={false} />
            <XAxis dataKey="week" {...axis} minTickGap={36} />
            <YAxis {...axis} unit=" h" />
            <Tooltip
              isAnimationActive={false}
              formatter={(value) => (typeof value === 'number' ? `${hoursWords(value)} h` : '')}
              contentStyle={{
                background: 'var(--sheet)',
                border: '1px solid var(--line)',
                color: 'var(--ink)',
              }}
            />
            <Bar dataKey="observed" name="run" fill="var(--ink)" isAnimationActive={false} />
            <Line
              dataKey="planned"
              name="planned"
              type="stepAfter"
              stroke="var(--copper)"
              strokeWidth={2.5}
              dot={false}
              isAnimationActive={false}
            />
          </ComposedChart>
        </ResponsiveContainer>
      </div>
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
      <Chart weeks={data} today={today} />
      <Participation machine={machine} mayChange={isLead} />
    </div>
  );
}
