import type { WeekOfUseDto } from '@yugator/contracts';
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
import { AXIS, TIP_STYLE } from '../chart/chartStyle.js';
import { dayWords } from '../words/dates.js';
import { hoursWords } from '../words/figures.js';

/** Hours run and planned, week by week; the same figures stand beneath it as a table. */
export function UseChart({ weeks }: { weeks: readonly WeekOfUseDto[] }) {
  const data = weeks.map(({ from, planned, observed }) => ({
    week: dayWords(from, from),
    planned,
    observed,
  }));
  return (
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
          <XAxis dataKey="week" {...AXIS} minTickGap={36} />
          <YAxis {...AXIS} unit=" h" />
          <Tooltip
            isAnimationActive={false}
            formatter={(value) => (typeof value === 'number' ? `${hoursWords(value)} h` : '')}
            contentStyle={TIP_STYLE}
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
  );
}
