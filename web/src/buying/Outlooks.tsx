import Button from '@mui/material/Button';
import type { BoughtArticleDto, BuyingFactsDto } from '@yugator/contracts';
import { buyingOutlooks } from '@yugator/core';
import type { ArticleOutlook, BuyingFacts } from '@yugator/core';
import { useMemo, useState } from 'react';
import table from '../page/table.module.css';
import { useStockWords } from '../session/useStockWords.js';
import { dayWords } from '../words/dates.js';
import { countWords } from '../words/figures.js';
import styles from './buying.module.css';

/** Expected takings week by week as bars; the table says the same in figures. */
function Weeks({ weekly }: { weekly: readonly number[] }) {
  const most = Math.max(...weekly, Number.MIN_VALUE);
  const width = 120 / weekly.length;
  return (
    <svg width="120" height="26" viewBox="0 0 120 26" aria-hidden className={styles.weeks}>
      {weekly.map((amount, week) => {
        const height = (amount / most) * 24;
        return <rect key={week} x={week * width} y={25 - height} width={width * 0.8} height={height} />;
      })}
      <path d="M0 25.5H120" />
    </svg>
  );
}

function shareWords(chance: number): string {
  if (chance < 0.005) return 'none';
  return chance > 0.995 ? 'sure' : `${Math.max(1, Math.round(chance * 100))} %`;
}

function OrderBy({ row: { outlook, leadDays }, today }: { row: ArticleOutlook; today: string }) {
  if (outlook.orderBy === null) return <span className="soft">enough</span>;
  if (leadDays === null)
    return <span>nobody sells it; short about {dayWords(outlook.shortOn ?? today, today)}</span>;
  if (outlook.orderBy <= today) return <b>today, or it is late</b>;
  return <b>{dayWords(outlook.orderBy, today)}</b>;
}

function Row({ article, row, today }: { article: BoughtArticleDto; row: ArticleOutlook; today: string }) {
  const stock = useStockWords();
  const { outlook } = row;
  const { unit } = article;
  const toCome = article.arrivals.reduce((sum, { quantity }) => sum + quantity, 0);
  return (
    <tr>
      <td>
        <b>{article.name}</b>
      </td>
      <td className={table.number} data-label="On hand:">
        {stock(article.onHand, unit)}
        {row.inKits ? <div className={styles.inKits}>{stock(row.inKits, unit)} in kits</div> : null}
      </td>
      <td className={table.number} data-label="To come:">
        {toCome ? stock(toCome, unit) : '–'}
      </td>
      <td className={table.number} data-label="Will be taken:">
        {stock(Math.round(outlook.expected * 10) / 10, unit)}
      </td>
      <td className={styles.weeksCell}>
        <Weeks weekly={row.weekly} />
      </td>
      <td className={table.number} data-label="Out before an order is here:">
        {row.leadDays === null ? '–' : shareWords(outlook.chanceBeforeArrival)}
      </td>
      <td className={table.number} data-label="Safety:">
        {stock(outlook.safety, unit)}
      </td>
      <td data-label="Order by:">
        <OrderBy row={row} today={today} />
      </td>
    </tr>
  );
}

interface Props {
  readonly articles: BuyingFactsDto['articles'];
  readonly facts: BuyingFacts;
  readonly sure: number;
}

/** When what lies there runs out, and by when to order. */
export function Outlooks({ articles, facts, sure }: Props) {
  const rows = useMemo(() => buyingOutlooks(facts, sure), [facts, sure]);
  const byId = new Map(articles.map((article) => [article.id, article]));
  const [isAll, setAll] = useState(false);
  if (rows.length === 0) return null;
  const pressing = rows.filter(({ outlook }) => outlook.shortOn !== null);
  const enough = rows.length - pressing.length;
  return (
    <section aria-label="What will be taken" style={{ marginTop: 24 }}>
      <h2 style={{ marginBottom: 6 }}>What will be taken</h2>
      <p className="soft" style={{ marginTop: 0 }}>
        By the article that fits first; what lies there in kits counts. An order comes from where it is
        cheapest.
      </p>
      <div className={table.scroll}>
        <table className={table.table}>
          <thead>
            <tr>
              <th style={{ width: '28%' }}>Article</th>
              <th className={table.number}>On hand</th>
              <th className={table.number}>To come</th>
              <th className={table.number}>Will be taken</th>
              <th>Week by week</th>
              <th className={table.number}>Out before an order is here</th>
              <th className={table.number}>Safety</th>
              <th>Order by</th>
            </tr>
          </thead>
          <tbody>
            {(isAll ? rows : pressing).map((row) => {
              const article = byId.get(row.articleId);
              return article ? (
                <Row key={row.articleId} article={article} row={row} today={facts.today} />
              ) : null;
            })}
          </tbody>
        </table>
      </div>
      {enough > 0 && !isAll ? (
        <Button variant="text" onClick={() => setAll(true)}>
          And {countWords(enough, 'article')} of which there is enough
        </Button>
      ) : null}
    </section>
  );
}
