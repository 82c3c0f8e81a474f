import type { LoadWeekDto } from '@yugator/contracts';
import {
  Bar,
  CartesianGrid,
  ComposedChart,
  ErrorBar,
  Legend,
  Line,
  ResponsiveContainer,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts';
import { AXIS, TIP_STYLE } from '../chart/chartStyle.js';
import { shortDayWords } from '../words/dates.js';
import styles from './plan.module.css';

/** Hours asked for and hours there are, week by week, with the range; the same figures stand beneath it in words. */
export function LoadChart({ weeks }: { weeks: readonly LoadWeekDto[] }) {
  const hours = (minutes: number) => Math.round(minutes / 6) / 10;
  const data = weeks.map(({ from, minutes, expected, low, high }) => ({
    name: shortDayWords(from).replace(/^\S+ /, ''),
    asked: hours(expected),
    range: [hours(expected - low), hours(high - expected)],
    there: hours(minutes),
  }));
  return (
    <div className={styles.chart} aria-hidden>
      <ResponsiveContainer width="100%" height="100%">
        <ComposedChart accessibilityLayer={false} data={data} margin={{ top: 8, right: 12, bottom: 4 }}>
          <CartesianGrid stroke="var(--line)" vertical={false} />
          <XAxis dataKey="name" interval={3} {...AXIS} />
          <YAxis unit=" h" {...AXIS} />
          <Tooltip
            isAnimationActive={false}
            formatter={(value) => (typeof value === 'number' ? `${value} h` : '')}
            contentStyle={TIP_STYLE}
          />
          <Legend />
          <Bar
            dataKey="asked"
            name="asked, with its range"
            fill="var(--copper)"
            maxBarSize={16}
            isAnimationActive={false}
          >
            <ErrorBar dataKey="range" width={3} stroke="var(--ink)" isAnimationActive={false} />
          </Bar>
          <Line
            dataKey="there"
            name="there is"
            type="step"
            stroke="var(--ink)"
            strokeWidth={2}
            dot={false}
            isAnimationActive={false}
          />
        </ComposedChart>
      </ResponsiveContainer>
    </div>
  );
}
