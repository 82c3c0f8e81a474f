import Button from '@mui/material/Button';
import type { ArrivalDto, BoughtArticleDto, BuyingFactsDto } from '@yugator/contracts';
import { civilDate, outlookOf, roundQuantity, weeklyDemand } from '@yugator/core';
import type { Demand, Outlook } from '@yugator/core';
import { useMemo, useState } from 'react';
import table from '../page/table.module.css';
import { useStockWords } from '../session/useStockWords.js';
import { dayWords } from '../words/dates.js';
import { countWords } from '../words/figures.js';
import styles from './buying.module.css';

interface Row {
  readonly article: BoughtArticleDto;
  readonly outlook: Outlook;
  readonly weekly: readonly number[];
  readonly leadDays: number | null;
  /** what the kits that lie there hold of it */
  readonly inKits: number;
}

/** Days until what is cheapest by the piece or litre is here, which is where it is bought as a rule; null where nobody sells it. */
function usualLead({ suppliers }: BuyingFactsDto, articleId: string): number | null {
  const offers = suppliers
    .flatMap(({ leadDays, offers: own }) =>
      own.flatMap((offer) =>
        offer.articleId === articleId
          ? [{ days: offer.leadDays ?? leadDays, each: offer.priceMinor / offer.pack }]
          : [],
      ),
    )
    .sort((a, b) => a.each - b.each || a.days - b.days);
  return offers[0]?.days ?? null;
}

/** What kits hold of an article: those that lie there, and those to come. */
function inKits({ articles }: BuyingFactsDto, articleId: string): { onHand: number; arrivals: ArrivalDto[] } {
  const holding = articles.flatMap((kit) => {
    const part = kit.contents.find((each) => each.articleId === articleId);
    return part ? [{ kit, each: part.quantity }] : [];
  });
  return {
    onHand: roundQuantity(holding.reduce((sum, { kit, each }) => sum + Math.max(0, kit.onHand) * each, 0)),
    arrivals: holding.flatMap(({ kit, each }) =>
      kit.arrivals.map(({ on, quantity }) => ({ on, quantity: roundQuantity(quantity * each) })),
    ),
  };
}

/** What is coming by the article that it takes first. */
function demandsByArticle({ works }: BuyingFactsDto): ReadonlyMap<string, Demand[]> {
  const day = (on: string | null) => (on === null ? null : civilDate(on));
  const demands = new Map<string, Demand[]>();
  for (const { earlyOn, expectedOn, lateOn, articles } of works) {
    const [first] = articles;
    if (!first) continue;
    const demand = {
      earlyOn: day(earlyOn),
      expectedOn: civilDate(expectedOn),
      lateOn: day(lateOn),
      quantity: first.quantity,
    };
    demands.set(first.articleId, [...(demands.get(first.articleId) ?? []), demand]);
  }
  return demands;
}

/** The outlook of every article that is taken, the most pressing first. */
export function outlookRows(facts: BuyingFactsDto, sure: number): Row[] {
  const today = civilDate(facts.today);
  const demands = demandsByArticle(facts);
  return facts.articles
    .flatMap((article): Row[] => {
      const own = demands.get(article.id);
      if (!own) return [];
      const leadDays = usualLead(facts, article.id);
      const held = inKits(facts, article.id);
      const stocked = {
        unit: article.unit,
        onHand: article.onHand + held.onHand,
        arrivals: [...article.arrivals, ...held.arrivals].map(({ on, quantity }) => ({
          on: civilDate(on),
          quantity,
        })),
        leadDays: leadDays ?? 0,
        sure,
      };
      const outlook = outlookOf(own, stocked, today, facts.weeks);
      return [
        { article, outlook, leadDays, inKits: held.onHand, weekly: weeklyDemand(own, today, facts.weeks) },
      ];
    })
    .sort(
      (a, b) =>
        (a.outlook.orderBy ?? '9999').localeCompare(b.outlook.orderBy ?? '9999') ||
        a.article.name.localeCompare(b.article.name),
    );
}

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

function OrderBy({ row: { outlook, leadDays }, today }: { row: Row; today: string }) {
  if (outlook.orderBy === null) return <span className="soft">enough</span>;
  if (leadDays === null)
    return <span>nobody sells it; short about {dayWords(outlook.shortOn ?? today, today)}</span>;
  if (outlook.orderBy <= today) return <b>today, or it is late</b>;
  return <b>{dayWords(outlook.orderBy, today)}</b>;
}

/** When what lies there runs out, and by when to order. */
export function Outlooks({ facts, sure }: { facts: BuyingFactsDto; sure: number }) {
  const stock = useStockWords();
  const rows = useMemo(() => outlookRows(facts, sure), [facts, sure]);
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
              const { article, outlook } = row;
              const toCome = article.arrivals.reduce((sum, { quantity }) => sum + quantity, 0);
              return (
                <tr key={article.id}>
                  <td>
                    <b>{article.name}</b>
                  </td>
                  <td className={table.number} data-label="On hand:">
                    {stock(article.onHand, article.unit)}
                    {row.inKits ? (
                      <div className={styles.inKits}>{stock(row.inKits, article.unit)} in kits</div>
                    ) : null}
                  </td>
                  <td className={table.number} data-label="To come:">
                    {toCome ? stock(toCome, article.unit) : '–'}
                  </td>
                  <td className={table.number} data-label="Will be taken:">
                    {stock(Math.round(outlook.expected * 10) / 10, article.unit)}
                  </td>
                  <td className={styles.weeksCell}>
                    <Weeks weekly={row.weekly} />
                  </td>
                  <td className={table.number} data-label="Out before an order is here:">
                    {row.leadDays === null ? '–' : shareWords(outlook.chanceBeforeArrival)}
                  </td>
                  <td className={table.number} data-label="Safety:">
                    {stock(outlook.safety, article.unit)}
                  </td>
                  <td data-label="Order by:">
                    <OrderBy row={row} today={facts.today} />
                  </td>
                </tr>
              );
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
