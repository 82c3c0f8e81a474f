import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import type { BuyingFactsDto } from '@yugator/contracts';
import { buyingInstance, civilDate } from '@yugator/core';
import type { BuyingFacts } from '@yugator/core';
import { useEffect, useMemo, useState } from 'react';
import { Link } from 'react-router';
import { Choose } from '../form/Choose.js';
import form_ from '../form/form.module.css';
import { Caution } from '../page/Caution.js';
import { Empty } from '../page/Empty.js';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import { PageHead } from '../page/PageHead.js';
import { useSession } from '../session/useSession.js';
import { countWords, moneyWords } from '../words/figures.js';
import styles from './buying.module.css';
import { buyingQueries } from './buyingQueries.js';
import { Outlooks } from './Outlooks.js';
import { PlanLines } from './PlanLines.js';
import { PlanSums } from './PlanSums.js';
import { prepareBuying } from './startBuying.js';
import { useBuying } from './useBuying.js';

const WEEKS = [
  ['4', '4 weeks'],
  ['8', '8 weeks'],
  ['13', 'a quarter'],
  ['26', 'half a year'],
  ['52', 'a year'],
] as const;

const SURE = [
  ['0.5', 'what is likely'],
  ['0.8', '8 of 10 cases'],
  ['0.95', '19 of 20 cases'],
] as const;

type WeeksKey = (typeof WEEKS)[number][0];
type SureKey = (typeof SURE)[number][0];

/** The same with its days as civil dates. */
function factsOf({ today, weeks, works, articles, suppliers }: BuyingFactsDto): BuyingFacts {
  const day = (on: string | null) => (on === null ? null : civilDate(on));
  return {
    today: civilDate(today),
    weeks,
    suppliers,
    works: works.map((work) => ({
      earlyOn: day(work.earlyOn),
      expectedOn: civilDate(work.expectedOn),
      lateOn: day(work.lateOn),
      articles: work.articles,
    })),
    articles: articles.map((article) => ({
      ...article,
      arrivals: article.arrivals.map(({ on, quantity }) => ({ on: civilDate(on), quantity })),
    })),
  };
}

interface PlanProps {
  readonly facts: BuyingFactsDto;
  /** the same with its days as civil dates */
  readonly known: BuyingFacts;
  readonly sure: number;
}

/** What to buy: reckoned, and what the lead has settled of it. */
function Plan({ facts, known, sure }: PlanProps) {
  const { site } = useSession();
  const [locked, setLocked] = useState<ReadonlyMap<string, number>>(new Map());
  const instance = useMemo(() => buyingInstance(known, sure), [known, sure]);
  const { buying, last, stop, again } = useBuying(instance, locked);
  const lock = (offerId: string, packs: number | null) => {
    const next = new Map(locked);
    if (packs === null) next.delete(offerId);
    else next.set(offerId, packs);
    setLocked(next);
  };
  if (buying.state === 'stopped' || buying.state === 'failed')
    return (
      <Caution title={buying.state === 'stopped' ? 'Stopped' : 'It could not be reckoned'}>
        <p>
          {buying.state === 'stopped'
            ? 'Nothing was chosen.'
            : 'Take back what you settled, or look fewer weeks ahead; what runs out stands below all the same.'}
        </p>
        <Button onClick={again}>Reckon again</Button>
        {locked.size ? (
          <Button onClick={() => setLocked(new Map())}>Take back all that was settled</Button>
        ) : null}
      </Caution>
    );
  const isReckoning = buying.state === 'reckoning';
  const shown = isReckoning ? last : buying;
  return (
    <>
      {isReckoning ? (
        <div className={form_.acts} role="status" aria-label="Reckoning" style={{ marginBottom: 12 }}>
          <span>
            Reckoning what costs least for {countWords(instance.services.length, 'service')} …
            {buying.best === null ? '' : ` So far ${moneyWords(Math.round(buying.best), site.currency)}.`}
          </span>
          <Button size="small" onClick={stop}>
            Stop
          </Button>
        </div>
      ) : null}
      {shown ? (
        <div aria-busy={isReckoning} className={isReckoning ? styles.old : undefined}>
          <PlanSums buying={shown} facts={facts} instance={instance} />
          <PlanLines plan={shown.plan} facts={facts} locked={locked} onLock={lock} isOld={isReckoning} />
        </div>
      ) : null}
    </>
  );
}

/** What the fleet will take from the shelf, when that runs out, and what to buy for it. */
export function BuyingPage() {
  const [weeks, setWeeks] = useState<WeeksKey>('26');
  const [sure, setSure] = useState<SureKey>('0.8');
  const { data, error, refetch } = useQuery(buyingQueries.facts(Number(weeks)));
  useEffect(() => prepareBuying(), []);
  const known = useMemo(() => (data ? factsOf(data) : null), [data]);
  return (
    <>
      <PageHead
        name="What to buy"
        title="What to buy"
        under="From what the schedule expects, what lies there, and what is to come"
      >
        <Button component={Link} to="/shelf/orders">
          Orders
        </Button>
        <Button component={Link} to="/shelf/suppliers">
          Suppliers
        </Button>
      </PageHead>
      <div className={styles.choices}>
        <Choose<WeeksKey>
          label="Looking ahead"
          size="small"
          value={weeks}
          choices={WEEKS}
          onChange={setWeeks}
        />
        <Choose<SureKey> label="Enough for" size="small" value={sure} choices={SURE} onChange={setSure} />
      </div>
      {data && known ? (
        <>
          {data.suppliers.length === 0 ? (
            <Empty title="Nobody to buy from yet.">
              {<p>Take in a supplier and say what it sells; what runs out stands below.</p>}
            </Empty>
          ) : (
            <Plan facts={data} known={known} sure={Number(sure)} />
          )}
          <Outlooks articles={data.articles} facts={known} sure={Number(sure)} />
        </>
      ) : error ? (
        <Failed error={error} again={refetch} />
      ) : (
        <Loading />
      )}
    </>
  );
}
