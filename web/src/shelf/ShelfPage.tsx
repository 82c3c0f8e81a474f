import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import type { ArticleDto, SessionDto } from '@yugator/contracts';
import { articleWords, isShort, labelWords, UNITS, inShedsWords } from '@yugator/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { Empty } from '../page/Empty.js';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import { UsedOilBook } from '../oil/UsedOilBook.js';
import { PageHead } from '../page/PageHead.js';
import table from '../page/table.module.css';
import { ScannerButton } from '../scanner/ScannerButton.js';
import { useIsOneOf, useSession } from '../session/useSession.js';
import { moneyWords } from '../words/figures.js';
import { containerWords } from './containerWords.js';
import { EditArticle } from './EditArticle.js';
import { found } from './foundArticles.js';
import { Movements } from './Movements.js';
import { NewArticle } from './NewArticle.js';
import { useSheds } from './ShedField.js';
import { SettleShed } from './SettleShed.js';
import styles from './shelf.module.css';
import { PricesPaid } from './PricesPaid.js';
import { shelfQueries } from './shelfQueries.js';
import { StockAct } from './StockAct.js';
import { StockMark, STOCK_WORDS } from './StockMark.js';
import { useStockWords } from '../session/useStockWords.js';

const KINDS = [
  ['kit', 'Kits'],
  ['part', 'Parts'],
  ['fluid', 'Fluids'],
] as const;

/** What one costs; of a fluid, a litre or a quart. */
function priceWords({ priceMinor, unit }: ArticleDto, { currency, unitSystem }: SessionDto['site']): string {
  if (unit === 'piece') return moneyWords(priceMinor, currency);
  return unitSystem === 'us'
    ? `${moneyWords(Math.round(priceMinor * UNITS.volume.qt), currency)} a quart`
    : `${moneyWords(priceMinor, currency)} a litre`;
}

/** What tells it from others on the shelf: its number, its place and shed, and what stands on its label. */
function aboutWords({ number, place, fluid, sheds }: ArticleDto): string {
  const label = fluid ? labelWords(fluid) : '';
  const shed = sheds.length === 1 ? (sheds[0]?.shed ?? '') : '';
  return [number, label, place, shed].filter(Boolean).join(' · ');
}

function ArticleRow({ article, mayMove }: { article: ArticleDto; mayMove: boolean }) {
  const { site } = useSession();
  const stock = useStockWords();
  const containers = containerWords(article.lots, article.unit, stock);
  const where = inShedsWords(article.sheds, article.unit, site.unitSystem);
  return (
    <tr>
      <td>
        {article.photo ? (
          <img
            src={article.photo}
            alt={`What it looks like: ${article.name}`}
            className={styles.thumb}
            loading="lazy"
          />
        ) : null}
        <b>{article.name}</b>
        {aboutWords(article) ? <div className="soft">{aboutWords(article)}</div> : null}
        {article.contents.length ? (
          <div className="soft">
            {article.contents.map((part) => articleWords(part, site.unitSystem)).join(', ')}
          </div>
        ) : null}
        {where ? <div className="soft">{where}</div> : null}
        {containers ? <div className="soft">{containers}</div> : null}
        {article.state === 'beyond' ? <div>More was used than ever came in: count what is there.</div> : null}
        <div className={styles.told}>
          <Movements article={article} />
          {mayMove ? <PricesPaid article={article} /> : null}
        </div>
      </td>
      <td className={table.number} data-label="On hand:">
        {stock(article.onHand, article.unit)}
      </td>
      <td className={table.number} data-label="Least wanted:">
        {stock(article.leastOnHand, article.unit)}
      </td>
      <td>
        <span className={table.state}>
          <StockMark state={article.state} />
          {STOCK_WORDS[article.state]}
        </span>
      </td>
      <td className={table.number} data-label="Price:">
        {priceWords(article, site)}
      </td>
      <td>
        {mayMove ? (
          <>
            <StockAct article={article} group="received" /> <StockAct article={article} group="counted" />{' '}
            <StockAct article={article} group="away" /> <EditArticle article={article} />
          </>
        ) : null}
      </td>
    </tr>
  );
}

/** Of hundreds so many more are shown at a press; the search looks through all of them. */
const A_PAGE = 100;

function Articles({
  title,
  articles,
  mayMove,
}: {
  title: string;
  articles: readonly ArticleDto[];
  mayMove: boolean;
}) {
  const [most, setMost] = useState(A_PAGE);
  if (articles.length === 0) return null;
  return (
    <section aria-label={title} style={{ marginBottom: 24 }}>
      <h2 style={{ marginBottom: 6 }}>{title}</h2>
      <table className={table.table}>
        <thead>
          <tr>
            <th style={{ width: '34%' }}>Article</th>
            <th className={table.number}>On hand</th>
            <th className={table.number}>Least wanted</th>
            <th>State</th>
            <th className={table.number}>Price</th>
            <th>
              <span className="visually-hidden">Book</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {articles.slice(0, most).map((article) => (
            <ArticleRow key={article.id} article={article} mayMove={mayMove} />
          ))}
        </tbody>
      </table>
      {articles.length > most ? (
        <Button variant="text" onClick={() => setMost(most + A_PAGE)}>
          {Math.min(A_PAGE, articles.length - most)} more of {articles.length - most}
        </Button>
      ) : null}
    </section>
  );
}

/** How the shelf stands, in a line. */
function standWords(articles: readonly ArticleDto[]): string | undefined {
  if (articles.length === 0) return undefined;
  const beyond = articles.filter(({ state }) => state === 'beyond').length;
  const low = articles.filter(({ state }) => isShort(state)).length - beyond;
  if (low + beyond === 0) return 'Every article is at or above its least';
  return [
    low ? `${low} of ${articles.length} articles ${low === 1 ? 'is' : 'are'} low or out` : '',
    beyond ? `${beyond} to be counted` : '',
  ]
    .filter(Boolean)
    .join(', ');
}

/** A shelf of fewer is seen at a glance. */
const SEARCHED_FROM = 8;

/** Kits, parts and fluids: what is on hand, what came and went. */
export function ShelfPage() {
  const { data, error, refetch } = useQuery(shelfQueries.list());
  const mayMove = useIsOneOf('crewLead', 'mechanic');
  const mayLead = useIsOneOf('crewLead');
  // Known by the time that something is booked.
  useSheds();
  const [typed, setTyped] = useState('');
  if (!data) return error ? <Failed error={error} again={refetch} /> : <Loading />;
  const shown = found(data, typed);
  return (
    <>
      <PageHead name="Shelf" title="Shelf" under={standWords(data)}>
        {mayMove ? (
          <>
            <ScannerButton />
            <Button component={Link} to="/shelf/buying">
              What to buy
            </Button>
            <Button component={Link} to="/shelf/months">
              What it is worth
            </Button>
            <Button component={Link} to="/shelf/lists">
              Lists and labels
            </Button>
            <Button component={Link} to="/shelf/count">
              Count the shelf
            </Button>
            <NewArticle />
          </>
        ) : null}
      </PageHead>
      {data.length === 0 ? (
        <Empty title="The shelf is empty.">{<p>Put the first kit, part or fluid on it above.</p>}</Empty>
      ) : null}
      {mayLead ? <SettleShed articles={data} /> : null}
      {data.length > SEARCHED_FROM ? (
        <TextField
          label="Look for"
          value={typed}
          onChange={({ target }) => setTyped(target.value)}
          helperText={
            shown.length === 0
              ? 'Nothing of that name, number or code stands on the shelf.'
              : 'A name, number or place, or scan a code'
          }
          sx={{ maxWidth: 420, marginBottom: '18px' }}
          fullWidth
        />
      ) : null}
      {KINDS.map(([kind, title]) => (
        <Articles
          key={kind}
          title={title}
          articles={shown.filter((article) => article.kind === kind && !article.isRetired)}
          mayMove={mayMove}
        />
      ))}
      <Articles
        title="No longer bought"
        articles={shown.filter(({ isRetired }) => isRetired)}
        mayMove={mayMove}
      />
      <UsedOilBook />
    </>
  );
}
