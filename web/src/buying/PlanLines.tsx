import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import type { BoughtArticleDto, BoughtFromDto, BuyingFactsDto, ComingWorkDto } from '@yugator/contracts';
import { carriageFor, goodsOf, offerId } from '@yugator/core';
import type { BuyingLine, BuyingPlan, LockedPacks } from '@yugator/core';
import { useState } from 'react';
import { download } from '../books/download.js';
import { csvText } from '../csv/csv.js';
import table from '../page/table.module.css';
import { useSession } from '../session/useSession.js';
import { useStockWords } from '../session/useStockWords.js';
import { dayWords } from '../words/dates.js';
import { moneyFigure, moneyWords, parseFigure } from '../words/figures.js';
import styles from './buying.module.css';
import { MarkOrdered } from './MarkOrdered.js';
import { numberOf } from './numberOf.js';

interface Props {
  readonly plan: BuyingPlan;
  readonly facts: BuyingFactsDto;
  readonly locked: LockedPacks;
  readonly onLock: (offerId: string, packs: number | null) => void;
  /** it is being reckoned anew: nothing of this is ordered */
  readonly isOld: boolean;
}

/** The packs of a line: typed over, they are settled, and all else is reckoned anew around them. */
function Packs({
  line: { offer, packs },
  name,
  isLocked,
  onLock,
}: {
  line: BuyingLine;
  name: string;
  isLocked: boolean;
  onLock: Props['onLock'];
}) {
  const [typed, setTyped] = useState(String(packs));
  const figure = parseFigure(typed);
  const isWrong = !Number.isInteger(figure) || figure < 0 || figure > 10_000;
  const settle = () => {
    if (!isWrong && figure !== packs) onLock(offer.id, figure);
  };
  return (
    <div className={styles.packs}>
      <TextField
        size="small"
        value={typed}
        error={isWrong}
        helperText={isWrong ? 'A whole number' : undefined}
        onChange={({ target }) => setTyped(target.value)}
        onBlur={settle}
        onKeyDown={(event) => {
          if (event.key === 'Enter') settle();
        }}
        slotProps={{
          htmlInput: { 'aria-label': `Packs of ${name}`, inputMode: 'numeric', className: 'fig' },
        }}
      />
      <Button
        size="small"
        variant="text"
        aria-pressed={isLocked}
        aria-label={`${isLocked ? 'Reckon freely' : 'Settle'}: ${name}`}
        onClick={() => onLock(offer.id, isLocked ? null : packs)}
      >
        {isLocked ? 'Settled' : 'Settle'}
      </Button>
    </div>
  );
}

/** Works for which an article is needed, the first of each machine, in the order in which they come. */
function forWhom({ works }: BuyingFactsDto, article: BoughtArticleDto | undefined): ComingWorkDto[] {
  const wanted = new Set([article?.id, ...(article?.contents ?? []).map(({ articleId }) => articleId)]);
  const firsts = new Map<string, ComingWorkDto>();
  for (const work of works.toSorted((a, b) => a.expectedOn.localeCompare(b.expectedOn)))
    if (!firsts.has(work.machineId) && work.articles.some(({ articleId }) => wanted.has(articleId)))
      firsts.set(work.machineId, work);
  return [...firsts.values()];
}

const NAMED = 3;

function Line({
  line,
  facts,
  isLocked,
  onLock,
  left,
}: {
  line: BuyingLine;
  facts: BuyingFactsDto;
  isLocked: boolean;
  onLock: Props['onLock'];
  left: number;
}) {
  const { site } = useSession();
  const stock = useStockWords();
  const article = facts.articles.find(({ id }) => id === line.offer.articleId);
  const name = article?.name ?? '';
  const unit = article?.unit ?? 'piece';
  const machines = forWhom(facts, article);
  const said = machines
    .slice(0, NAMED)
    .map(({ machineTag, expectedOn }) => `${machineTag} about ${dayWords(expectedOn, facts.today)}`);
  const more = machines.length - said.length;
  return (
    <tr>
      <td>
        <b>{name}</b>
        <div className="soft">
          {said.length ? `For ${said.join(', ')}${more > 0 ? ` and ${more} more` : ''}` : 'To be kept'}
        </div>
      </td>
      <td className={table.number} data-label="Each holds:">
        {stock(line.offer.pack, unit)}
      </td>
      <td data-label="Packs:">
        <Packs key={line.packs} line={line} name={name} isLocked={isLocked} onLock={onLock} />
      </td>
      <td className={table.number} data-label="Each:">
        {moneyWords(line.offer.priceMinor, site.currency)}
      </td>
      <td className={table.number} data-label="Comes to:">
        {moneyWords(line.packs * line.offer.priceMinor, site.currency)}
      </td>
      <td className={table.number} data-label="Left in the end:">
        {stock(left, unit)}
      </td>
    </tr>
  );
}

/** What is bought from one supplier. */
function FromOne({
  supplier,
  lines,
  ...rest
}: Props & { supplier: BoughtFromDto; lines: readonly BuyingLine[] }) {
  const { site } = useSession();
  const goods = goodsOf(lines);
  const carriage = carriageFor(supplier, goods);
  const left = new Map(rest.plan.left.map(({ articleId, quantity }) => [articleId, quantity]));
  return (
    <section aria-label={supplier.name} className={styles.from}>
      <div className={styles.fromHead}>
        <h2>{supplier.name}</h2>
        <span className="soft">
          {moneyWords(goods, site.currency)} and {carriage ? moneyWords(carriage, site.currency) : 'no'}{' '}
          carriage
          {supplier.leadDays ? `, here in ${supplier.leadDays} days` : ', here today'}
        </span>
        {rest.isOld ? null : (
          <MarkOrdered supplier={supplier} lines={lines} carriageMinor={carriage} today={rest.facts.today} />
        )}
      </div>
      <table className={table.table}>
        <thead>
          <tr>
            <th style={{ width: '38%' }}>Article</th>
            <th className={table.number}>Each holds</th>
            <th>Packs</th>
            <th className={table.number}>Each</th>
            <th className={table.number}>Comes to</th>
            <th className={table.number}>Left in the end</th>
          </tr>
        </thead>
        <tbody>
          {lines.map((line) => (
            <Line
              key={line.offer.id}
              line={line}
              facts={rest.facts}
              isLocked={rest.locked.has(line.offer.id)}
              onLock={rest.onLock}
              left={left.get(line.offer.articleId) ?? 0}
            />
          ))}
        </tbody>
      </table>
    </section>
  );
}

/** What the lead has settled that nothing is bought of. */
function LeftOut({ facts, locked, onLock }: Omit<Props, 'plan' | 'isOld'>) {
  const none = facts.suppliers.flatMap((supplier) =>
    supplier.offers.flatMap((offer) => {
      const id = offerId(supplier.id, offer);
      const article = facts.articles.find((each) => each.id === offer.articleId);
      return locked.get(id) === 0 ? [{ id, words: `${article?.name ?? ''} from ${supplier.name}` }] : [];
    }),
  );
  if (none.length === 0) return null;
  return (
    <p>
      Settled that none is bought:{' '}
      {none.map(({ id, words }) => (
        <Button
          key={id}
          size="small"
          variant="text"
          onClick={() => onLock(id, null)}
          aria-label={`Reckon freely: ${words}`}
        >
          {words}
        </Button>
      ))}
    </p>
  );
}

/** What to buy, supplier by supplier. */
export function PlanLines(props: Props) {
  const { plan, facts } = props;
  const { site } = useSession();
  const exportCsv = () => {
    const articles = new Map(facts.articles.map((article) => [article.id, article]));
    const suppliers = new Map(facts.suppliers.map((supplier) => [supplier.id, supplier]));
    const money = (minor: number) => moneyFigure(minor, site.currency);
    const rows = plan.lines.map(({ offer, packs }) => [
      suppliers.get(offer.supplierId)?.name ?? '',
      numberOf(offer, suppliers.get(offer.supplierId)),
      articles.get(offer.articleId)?.name ?? '',
      packs,
      offer.pack,
      articles.get(offer.articleId)?.unit ?? '',
      money(offer.priceMinor),
      money(packs * offer.priceMinor),
    ]);
    const head = [
      'supplier',
      'number',
      'article',
      'packs',
      'each holds',
      'unit',
      `each (${site.currency})`,
      `comes to (${site.currency})`,
    ];
    download('to-buy.csv', 'text/csv', csvText([head, ...rows]));
  };
  return (
    <>
      {plan.lines.length === 0 ? (
        <p>Nothing need be bought: what lies there and is to come is enough.</p>
      ) : null}
      {facts.suppliers.map((supplier) => {
        const own = plan.lines.filter(({ offer }) => offer.supplierId === supplier.id);
        return own.length ? <FromOne key={supplier.id} {...props} supplier={supplier} lines={own} /> : null;
      })}
      <LeftOut facts={facts} locked={props.locked} onLock={props.onLock} />
      {plan.lines.length ? (
        <div className={styles.acts}>
          <Button onClick={exportCsv}>Export as CSV</Button>
          <Button onClick={() => window.print()}>Print</Button>
        </div>
      ) : null}
    </>
  );
}
