import type { ArticleKind, UsedPeriodDto } from '@yugator/contracts';
import { Bar, BarChart, CartesianGrid, Legend, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import { AXIS, TIP_STYLE } from '../chart/chartStyle.js';
import { useSession } from '../session/useSession.js';
import { moneyFigure, moneyWords } from '../words/figures.js';
import { periodName } from './periodName.js';

const FILLS = [
  ['kit', 'kits', 'var(--ink)'],
  ['part', 'loose parts', 'var(--copper)'],
  ['fluid', 'fluids', 'var(--soft)'],
] as const satisfies (readonly [ArticleKind, string, string])[];

/** What the kinds cost in each period, the earliest first; the same figures stand beneath it in words. */
export function UsedChart({ periods }: { periods: readonly UsedPeriodDto[] }) {
  const { site } = useSession();
  const { currency } = site;
  const data = periods.toReversed().map((period) => {
    const sumOf = (kind: ArticleKind) =>
      period.lines.filter((line) => line.kind === kind).reduce((sum, { costMinor }) => sum + costMinor, 0);
    return { name: periodName(period), kit: sumOf('kit'), part: sumOf('part'), fluid: sumOf('fluid') };
  });
  return (
    <div
      style={{
        height: 260,
        background: 'var(--sheet)',
        border: '1px solid var(--line)',
        padding: 8,
        marginBottom: 18,
      }}
      aria-hidden
    >
      <ResponsiveContainer width="100%" height="100%">
        <BarChart
          accessibilityLayer={false}
          data={data}
          stackOffset="sign"
          margin={{ top: 8, right: 12, bottom: 4 }}
        >
          <CartesianGrid stroke="var(--line)" vertical={false} />
          <XAxis dataKey="name" {...AXIS} />
          <YAxis
            {...AXIS}
            tickFormatter={(minor: number) => String(Math.round(moneyFigure(minor, currency)))}
          />
          <Tooltip
            isAnimationActive={false}
            formatter={(minor) => (typeof minor === 'number' ? moneyWords(minor, currency) : '')}
            contentStyle={TIP_STYLE}
          />
          <Legend />
          {FILLS.map(([kind, words, fill]) => (
            <Bar
              key={kind}
              dataKey={kind}
              name={words}
              stackId="cost"
              fill={fill}
              maxBarSize={72}
              isAnimationActive={false}
            />
          ))}
        </BarChart>
      </ResponsiveContainer>
    </div>
  );
}
