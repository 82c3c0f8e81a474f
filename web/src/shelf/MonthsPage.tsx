import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import type { ArticleDto, LedgerLineDto, LedgerPageDto, SessionDto, ShelfMonthDto } from '@yugator/contracts';
import { lotsWorth } from '@yugator/core';
import { useState } from 'react';
import { get } from '../api/request.js';
import { csvText } from '../csv/csv.js';
import { download } from '../books/download.js';
import { Empty } from '../page/Empty.js';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import { useNotice } from '../page/Notice.js';
import { PageHead } from '../page/PageHead.js';
import table from '../page/table.module.css';
import { useSession } from '../session/useSession.js';
import { useStockWords } from '../session/useStockWords.js';
import { monthWords } from '../words/dates.js';
import { moneyFigure, moneyWords } from '../words/figures.js';
import { containerWords } from './containerWords.js';
import { movementWords } from './Movements.js';
import { shelfQueries } from './shelfQueries.js';

const COLUMNS = [
  ['opening', 'At its start'],
  ['cameIn', 'Came in'],
  ['used', 'Used'],
  ['counted', 'Put right by counts'],
  ['scrapped', 'Thrown away'],
  ['lent', 'Lent and back'],
  ['priced', 'Priced later'],
  ['closing', 'At its end'],
] as const satisfies (readonly [keyof ShelfMonthDto, string])[];

/** Of more months the latest are shown at first. */
const A_YEAR = 12;

/** Always there; the others only where something of the kind happened. */
const ALWAYS: ReadonlySet<string> = new Set(['opening', 'cameIn', 'used', 'closing']);

function monthsCsv(months: readonly ShelfMonthDto[], site: SessionDto['site']): string {
  const head = ['month', ...COLUMNS.map(([, label]) => `${label.toLowerCase()} (${site.currency})`)];
  return csvText([
    head,
    ...months.map((each) => [each.month, ...COLUMNS.map(([key]) => moneyFigure(each[key], site.currency))]),
  ]);
}

/** All of the ledger, asked page after page. */
async function ledgerCsv(site: SessionDto['site']): Promise<string> {
  const lines: LedgerLineDto[] = [];
  for (let page = 1; ; page += 1) {
    const { lines: more, total } = await get<LedgerPageDto>(`/ledger?page=${page}`);
    lines.push(...more);
    if (lines.length >= total || more.length === 0) break;
  }
  const head = [
    'at',
    'article',
    'number',
    'quantity',
    'unit',
    `value (${site.currency})`,
    'what',
    'who',
    'machine',
    'shed',
    'note',
    'void',
  ];
  return csvText([
    head,
    ...lines.map((line) => [
      line.at,
      line.article,
      line.number,
      line.quantity,
      line.unit,
      moneyFigure(line.valueMinor, site.currency),
      movementWords(line),
      line.by ?? '',
      line.machineTag ?? '',
      line.shed ?? '',
      line.note,
      line.voided ? 'void' : '',
    ]),
  ]);
}

function Months({ months }: { months: readonly ShelfMonthDto[] }) {
  const { site } = useSession();
  const latestFirst = [...months].reverse();
  const [isAll, setAll] = useState(false);
  const shown = COLUMNS.filter(([key]) => ALWAYS.has(key) || months.some((month) => month[key] !== 0));
  return (
    <section aria-label="Month by month" style={{ marginBottom: 24 }}>
      <h2 style={{ marginBottom: 6 }}>Month by month</h2>
      <div className={table.scroll}>
        <table className={table.table}>
          <thead>
            <tr>
              <th>Month</th>
              {shown.map(([key, label]) => (
                <th key={key} className={table.number}>
                  {label}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {(isAll ? latestFirst : latestFirst.slice(0, A_YEAR)).map((month) => (
              <tr key={month.month}>
                <td>
                  <b>{monthWords(month.month)}</b>
                </td>
                {shown.map(([key, label]) => (
                  <td key={key} className={table.number} data-label={`${label}:`}>
                    {month[key] === 0 ? '–' : moneyWords(month[key], site.currency)}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {months.length > A_YEAR && !isAll ? (
        <Button variant="text" onClick={() => setAll(true)}>
          All {months.length} months
        </Button>
      ) : null}
    </section>
  );
}

/** What each article is worth now, the dearest first. */
function Worth({ articles }: { articles: readonly ArticleDto[] }) {
  const { site } = useSession();
  const stock = useStockWords();
  const worth = articles
    .map((article) => ({ article, minor: lotsWorth(article.lots) }))
    .filter(({ minor }) => minor > 0)
    .sort((a, b) => b.minor - a.minor);
  const all = lotsWorth(articles.flatMap(({ lots }) => lots));
  return (
    <section aria-label="What lies there now">
      <h2 style={{ marginBottom: 6 }}>What lies there now: {moneyWords(all, site.currency)}</h2>
      <table className={table.table}>
        <thead>
          <tr>
            <th>Article</th>
            <th className={table.number}>On hand</th>
            <th className={table.number}>Worth</th>
          </tr>
        </thead>
        <tbody>
          {worth.map(({ article, minor }) => (
            <tr key={article.id}>
              <td>
                <b>{article.name}</b>
                <div className="soft">{containerWords(article.lots, article.unit, stock)}</div>
              </td>
              <td className={table.number} data-label="On hand:">
                {stock(article.onHand, article.unit)}
              </td>
              <td className={table.number} data-label="Worth:">
                {moneyWords(minor, site.currency)}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

/** What the shelf is worth, month by month and article by article; first in, first out. */
export function MonthsPage() {
  const { site } = useSession();
  const say = useNotice();
  const [isExporting, setExporting] = useState(false);
  const months = useQuery(shelfQueries.months());
  const articles = useQuery(shelfQueries.list());
  const error = months.error ?? articles.error;
  if (!months.data || !articles.data)
    return error ? (
      <Failed error={error} again={() => Promise.all([months.refetch(), articles.refetch()])} />
    ) : (
      <Loading />
    );
  const { data } = months;
  const exportLedger = async () => {
    setExporting(true);
    try {
      download('shelf-movements.csv', 'text/csv', await ledgerCsv(site));
    } catch {
      say('The movements could not all be read; nothing was saved. Try again.');
    } finally {
      setExporting(false);
    }
  };
  return (
    <>
      <PageHead
        name="Worth of the shelf"
        title="Worth of the shelf"
        under="First in, first out: what lies there at what was paid for it"
      >
        <Button onClick={() => download('shelf-months.csv', 'text/csv', monthsCsv(data, site))}>
          Months as CSV
        </Button>
        <Button loading={isExporting} onClick={() => void exportLedger()}>
          Movements as CSV
        </Button>
      </PageHead>
      {data.length === 0 ? (
        <Empty title="Nothing has moved yet.">{<p>Book what comes in on the shelf.</p>}</Empty>
      ) : (
        <>
          <Months months={data} />
          <Worth articles={articles.data} />
        </>
      )}
    </>
  );
}
