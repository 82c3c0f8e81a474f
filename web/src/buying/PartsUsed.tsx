import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import type { ArticleKind, MachineDetailDto, TakenDto, UsedLineDto, UsedPeriodDto } from '@yugator/contracts';
import { Suspense, useState } from 'react';
import { download } from '../books/download.js';
import { drawnLater } from '../chart/drawnLater.js';
import { csvText } from '../csv/csv.js';
import { Choose } from '../form/Choose.js';
import type { Choices } from '../form/Choose.js';
import { Empty } from '../page/Empty.js';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import table from '../page/table.module.css';
import { useSession } from '../session/useSession.js';
import { useStockWords } from '../session/useStockWords.js';
import { countWords, hoursWords, moneyFigure, moneyWords } from '../words/figures.js';
import styles from './buying.module.css';
import { buyingQueries } from './buyingQueries.js';
import { periodName } from './periodName.js';

const UsedChart = drawnLater(async () => (await import('./UsedChart.js')).UsedChart);

const BY: Choices<'year' | 'season'> = [
  ['year', 'year'],
  ['season', 'season'],
];

const KIND_WORDS: Record<ArticleKind, string> = { kit: 'Kits', part: 'Loose parts', fluid: 'Fluids' };

/** What a machine takes in the coming twelve months: a list to pin up beside it. */
function Takes({ takes }: { takes: readonly TakenDto[] }) {
  const { site } = useSession();
  const stock = useStockWords();
  const all = takes.reduce((sum, { costMinor }) => sum + costMinor, 0);
  if (takes.length === 0)
    return (
      <p className="soft">
        Nothing that is kept on the shelf, as far as the schedule knows. Say under What fits what it takes.
      </p>
    );
  return (
    <table className={table.table}>
      <thead>
        <tr>
          <th style={{ width: '44%' }}>Article</th>
          <th className={table.number}>How much</th>
          <th className={table.number}>Times</th>
          <th>Lies at</th>
          <th className={table.number}>About</th>
        </tr>
      </thead>
      <tbody>
        {takes.map(({ articleId, name, unit, number, place, quantity, times, costMinor }) => (
          <tr key={articleId}>
            <td>
              <b>{name}</b>
              {number ? <span className="soft"> {number}</span> : null}
            </td>
            <td className={table.number} data-label="How much:">
              {stock(quantity, unit)}
            </td>
            <td className={table.number} data-label="Times:">
              {times}
            </td>
            <td data-label="Lies at:">{place || '–'}</td>
            <td className={table.number} data-label="About:">
              {moneyWords(costMinor, site.currency)}
            </td>
          </tr>
        ))}
        <tr>
          <td colSpan={4}>All of it, at today&rsquo;s prices</td>
          <td className={table.number} data-label="All of it:">
            {moneyWords(all, site.currency)}
          </td>
        </tr>
      </tbody>
    </table>
  );
}

/** "2, 1 of it left loose": what was drawn, and what of opened kits went back. */
function amountWords(
  { drawn, left, unit }: UsedLineDto,
  stock: (quantity: number, unit: UsedLineDto['unit']) => string,
): string {
  if (drawn === 0) return `${stock(left, unit)} left of kits`;
  return left ? `${stock(drawn, unit)}, and ${stock(left, unit)} left of kits` : stock(drawn, unit);
}

/** What a year or season took, by kind. */
function Period({ period }: { period: UsedPeriodDto }) {
  const { hours, lines, costMinor } = period;
  const name = periodName(period);
  const { site } = useSession();
  const stock = useStockWords();
  const each =
    hours >= 1 ? `, ${moneyWords(Math.round(costMinor / hours), site.currency)} an engine hour` : '';
  return (
    <section aria-label={name} className={styles.from}>
      <h3>
        {name}: {moneyWords(costMinor, site.currency)}
        <span className="soft">
          {' '}
          in {hoursWords(hours)} h{each}
        </span>
      </h3>
      {(['kit', 'part', 'fluid'] as const).map((kind) => {
        const own = lines.filter((line) => line.kind === kind);
        const sum = own.reduce((all, line) => all + line.costMinor, 0);
        return own.length ? (
          <div key={kind}>
            <b>
              {KIND_WORDS[kind]}, {moneyWords(sum, site.currency)}
            </b>
            <ul style={{ margin: '2px 0 8px', paddingLeft: 18 }}>
              {own.map((line) => (
                <li key={line.articleId}>
                  {line.name}: {amountWords(line, stock)}, {moneyWords(line.costMinor, site.currency)}
                </li>
              ))}
            </ul>
          </div>
        ) : null;
      })}
    </section>
  );
}

function usedCsv(periods: readonly UsedPeriodDto[], currency: string): string {
  const head = [
    'period',
    'kind',
    'article',
    'drawn',
    'left of kits',
    'unit',
    `cost (${currency})`,
    'engine hours',
  ];
  return csvText([
    head,
    ...periods.flatMap(({ lines, ...period }) =>
      lines.map(({ kind, name, drawn, left, unit, costMinor }) => [
        periodName(period),
        kind,
        name,
        drawn,
        left,
        unit,
        moneyFigure(costMinor, currency),
        period.hours,
      ]),
    ),
  ]);
}

/** Which kits and parts a machine takes in a year, and took: by year and kind, with what an engine hour cost. */
export function PartsUsed({ machine }: { machine: MachineDetailDto }) {
  const { site } = useSession();
  const [by, setBy] = useState<'year' | 'season'>('year');
  const { data, error, refetch } = useQuery(buyingQueries.partsUsed(machine.id));
  if (!data) return error ? <Failed error={error} again={refetch} /> : <Loading />;
  const periods = by === 'season' ? data.seasons : data.years;
  return (
    <>
      <section aria-label="Takes in a year" style={{ marginBottom: 24 }}>
        <div className={styles.fromHead}>
          <h2>{machine.tag} takes in the coming twelve months</h2>
          <Button size="small" onClick={() => window.print()}>
            Print
          </Button>
        </div>
        <Takes takes={data.takes} />
      </section>
      <div className={styles.fromHead}>
        <h2>Used so far</h2>
        {data.years.length ? (
          <Button
            size="small"
            onClick={() =>
              download(`${machine.tag}-parts-used.csv`, 'text/csv', usedCsv(periods, site.currency))
            }
          >
            Export as CSV
          </Button>
        ) : null}
      </div>
      {data.years.length === 0 ? (
        <Empty title="No job drew anything yet.">
          {<p>What jobs take from the shelf is added up here.</p>}
        </Empty>
      ) : (
        <>
          <p className="soft">
            {countWords(data.years.length, 'year')}, what jobs and rounds drew, less what they left of kits.
          </p>
          {data.seasons.length ? (
            <div style={{ maxWidth: 240, margin: '12px 0' }}>
              <Choose label="By" value={by} choices={BY} onChange={setBy} size="small" />
            </div>
          ) : null}
          {periods.length > 1 ? (
            <Suspense fallback={null}>
              <UsedChart periods={periods} />
            </Suspense>
          ) : null}
          {periods.map((period) => (
            <Period key={periodName(period)} period={period} />
          ))}
        </>
      )}
    </>
  );
}
