import type { BuyingFactsDto } from '@yugator/contracts';
import { kitReasons } from '@yugator/core';
import type { BuyingInstance, BuyingPlan, KitReason } from '@yugator/core';
import { useSession } from '../session/useSession.js';
import { useStockWords } from '../session/useStockWords.js';
import { countWords, moneyWords } from '../words/figures.js';
import styles from './buying.module.css';
import type { Reckoned } from './useBuying.js';

interface Props {
  readonly buying: Reckoned;
  readonly facts: BuyingFactsDto;
  readonly instance: BuyingInstance;
}

function Beside({ words, plan, chosen }: { words: string; plan: BuyingPlan | null; chosen: BuyingPlan }) {
  const { site } = useSession();
  if (!plan) return null;
  // What leaves more undone is no cheaper.
  const isLess = plan.uncovered > chosen.uncovered || plan.waiting > chosen.waiting;
  return (
    <li>
      {words} <b className="fig">{moneyWords(plan.costMinor, site.currency)}</b>
      {isLess ? ', and covers less' : ''}
    </li>
  );
}

/** Why a kit is bought or not, in words. */
function Why({ reason, facts }: { reason: KitReason; facts: BuyingFactsDto }) {
  const { site } = useSession();
  const stock = useStockWords();
  const articles = new Map(facts.articles.map((article) => [article.id, article]));
  const left = reason.left
    .map(({ articleId, quantity }) => {
      const article = articles.get(articleId);
      const unit = article?.unit ?? 'piece';
      return `${stock(quantity, unit)}${unit === 'piece' ? ' ×' : ''} ${article?.name ?? ''}`;
    })
    .join(', ');
  const worth = moneyWords(reason.leftMinor, site.currency);
  const name = articles.get(reason.kitId)?.name ?? '';
  if (reason.isBought)
    return (
      <li>
        <b>
          {reason.kits} × {name}
        </b>
        : {left ? `leaves ${left}, worth ${worth} loose, and is still the cheapest` : 'all of it is used'}
      </li>
    );
  return (
    <li>
      <b>No {name}</b>: {left ? `it would leave ${left}, for ${worth}` : 'its parts come cheaper loose'}
    </li>
  );
}

/** What the plan comes to, what else it would, and why. */
export function PlanSums({ buying: { plan, loose, kits }, facts, instance }: Props) {
  const { site } = useSession();
  const prices = new Map(facts.articles.map(({ id, priceMinor }) => [id, priceMinor]));
  const reasons = kitReasons(instance, plan, prices);
  const carriage = plan.carriageMinor
    ? ` with ${moneyWords(plan.carriageMinor, site.currency)} of carriage`
    : plan.lines.length
      ? ', carriage free'
      : '';
  return (
    <section aria-label="What it comes to" className={styles.sums}>
      <p className={styles.total}>
        <b className="fig">{moneyWords(plan.costMinor, site.currency)}</b>
        {carriage}
      </p>
      <ul>
        <Beside words="Loose parts alone:" plan={loose} chosen={plan} />
        <Beside words="A kit wherever there is one:" plan={kits} chosen={plan} />
      </ul>
      <p className="soft">
        Covers {countWords(instance.services.length - plan.uncovered, 'service')} of the time looked at
        {plan.waiting ? `; ${plan.waiting} of them wait until something arrives` : ''}
        {plan.uncovered ? `. ${countWords(plan.uncovered, 'service')} take what nobody here sells` : ''}.
        {plan.gap > 0.0005 ? ` At most ${(plan.gap * 100).toFixed(1)} % above the least possible.` : ''}
      </p>
      {reasons.length ? (
        <ul aria-label="Why">
          {reasons.map((reason) => (
            <Why key={reason.kitId} reason={reason} facts={facts} />
          ))}
        </ul>
      ) : null}
    </section>
  );
}
