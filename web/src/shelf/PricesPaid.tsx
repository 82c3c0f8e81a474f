import { useQuery } from '@tanstack/react-query';
import type { ArticleDto } from '@yugator/contracts';
import { useState } from 'react';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import { useSession } from '../session/useSession.js';
import { useStockWords } from '../session/useStockWords.js';
import { dayWords } from '../words/dates.js';
import { moneyWords } from '../words/figures.js';
import { shelfQueries } from './shelfQueries.js';

/** By how much a price differs from the one that was paid before: "4 % more"; '' where it does not, or there was none. */
function changeWords(now: number, before: number | undefined): string {
  if (!before) return '';
  const percent = Math.round((100 * (now - before)) / before);
  return percent === 0 ? '' : `, ${Math.abs(percent)} % ${percent > 0 ? 'more' : 'less'} than before`;
}

function Prices({ article: { id, unit } }: { article: ArticleDto }) {
  const { site, today } = useSession();
  const stock = useStockWords();
  const { data, error, refetch } = useQuery(shelfQueries.prices(id));
  if (!data) return error ? <Failed error={error} again={refetch} /> : <Loading rows={2} />;
  if (data.length === 0) return <p className="soft">Nothing came in yet.</p>;
  return (
    <ul style={{ margin: '6px 0', paddingLeft: 18 }}>
      {data.map(({ on, quantity, priceMinor, note }, at) => (
        <li key={at}>
          <span className="fig">{moneyWords(priceMinor, site.currency)}</span>
          {unit === 'litre' ? ' a litre' : ' each'}
          {changeWords(priceMinor, data[at + 1]?.priceMinor)}: {stock(quantity, unit)}, {dayWords(on, today)}
          {note ? `: ${note}` : ''}
        </li>
      ))}
    </ul>
  );
}

/** What was paid for an article each time that it came in; read when it is opened. */
export function PricesPaid({ article }: { article: ArticleDto }) {
  const [isOpen, setOpen] = useState(false);
  return (
    <details onToggle={({ currentTarget }) => setOpen(currentTarget.open)}>
      <summary className="soft">What was paid</summary>
      {isOpen ? <Prices article={article} /> : null}
    </details>
  );
}
