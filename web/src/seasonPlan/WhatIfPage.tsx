import Button from '@mui/material/Button';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { addDays, civilDate, suppose } from '@yugator/core';
import type { PlannerInstance } from '@yugator/core';
import { useRef, useState } from 'react';
import { Link } from 'react-router';
import { sentenceOf } from '../api/problem.js';
import { Choose, choicesOf } from '../form/Choose.js';
import form_ from '../form/form.module.css';
import { Caution } from '../page/Caution.js';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import { PageHead } from '../page/PageHead.js';
import { peopleQueries } from '../people/peopleQueries.js';
import { useIsOneOf, useSession } from '../session/useSession.js';
import { siteQueries } from '../site/siteQueries.js';
import { ComparedTable } from './ComparedTable.js';
import { moneyOf } from './moves.js';
import styles from './plan.module.css';
import { planQueries } from './planQueries.js';
import { Fields, handsOf, otherTimes } from './SupposeFields.js';
import { SUPPOSED, suppositionOf } from './supposed.js';
import type { Supposed, SupposedFields, SupposeFacts } from './supposed.js';
import { TakeOver } from './TakeOver.js';
import { useWhatIf } from './useWhatIf.js';

interface Asked {
  readonly kind: Supposed;
  readonly fields: SupposedFields;
  readonly facts: SupposeFacts;
}

/** The instance as is supposed, unless something else was supposed meanwhile. */
function useSupposed(onMade: (instance: PlannerInstance) => void) {
  const client = useQueryClient();
  const wanted = useRef<Asked | null>(null);
  const made = useMutation({
    networkMode: 'always',
    mutationFn: async ({ kind, fields, facts }: Asked) =>
      kind === 'annual'
        ? (await client.fetchQuery(planQueries.planUnder(fields.annual))).instance
        : suppose(facts.plan.instance, suppositionOf(kind, fields, facts)),
    onSuccess: (instance, asked) => {
      if (wanted.current === asked) onMade(instance);
    },
  });
  return {
    made,
    ask: (asked: Asked) => {
      wanted.current = asked;
      made.mutate(asked);
    },
    forget: () => {
      wanted.current = null;
      made.reset();
    },
  };
}

function Suppose({ facts }: { facts: SupposeFacts }) {
  const { plan } = facts;
  const { site, today } = useSession();
  const [kind, setKind] = useState<Supposed>('more');
  const [fields, setFields] = useState<SupposedFields>({
    percent: 20,
    share: 50,
    from: today,
    until: addDays(civilDate(today), 13),
    machineId: plan.machines[0]?.id ?? '',
    personId: handsOf(facts)[0]?.[0] ?? '',
    weeks: 2,
    annual: otherTimes(facts)[0]?.[0] ?? 'split',
  });
  const { whatIf, begin, stop } = useWhatIf();
  const { made, ask, forget } = useSupposed((supposed) => begin(plan.instance, supposed));
  const isPlanning = whatIf.state === 'planning';
  // What was compared is of what stood there then.
  const leave = () => {
    stop();
    forget();
  };
  const change = (next: SupposedFields) => {
    setFields(next);
    leave();
  };
  const isRight =
    [fields.percent, fields.share, fields.weeks].every(Number.isFinite) && fields.from <= fields.until;
  return (
    <>
      <div className={`${form_.acts} ${styles.suppose}`}>
        <Choose<Supposed>
          label="What if"
          size="small"
          sx={{ width: 300 }}
          value={kind}
          choices={choicesOf(SUPPOSED)}
          onChange={(next) => {
            setKind(next);
            leave();
          }}
        />
        <Fields key={kind} kind={kind} fields={fields} facts={facts} onChange={change} />
        {isPlanning ? (
          <Button onClick={stop}>Stop</Button>
        ) : (
          <Button
            variant="contained"
            color="primary"
            disabled={!isRight}
            loading={made.isPending}
            onClick={() => ask({ kind, fields, facts })}
          >
            Plan both
          </Button>
        )}
      </div>
      {isPlanning ? (
        <p role="status" aria-label="Planning">
          Planning {whatIf.nth === 1 ? 'as it is' : 'as supposed'} …
        </p>
      ) : null}
      {made.error ? <Caution title="Not planned">{<p>{sentenceOf(made.error)}</p>}</Caution> : null}
      {whatIf.state === 'failed' ? (
        <Caution title="Not planned">{<p>The planner came to no end.</p>}</Caution>
      ) : null}
      {whatIf.state === 'done' ? (
        <>
          <ComparedTable {...whatIf.compared} money={moneyOf(plan, site.currency)} />
          <TakeOver kind={kind} fields={fields} facts={facts} whatIf={whatIf} />
        </>
      ) : null}
      <p className="soft">
        Both are planned as if nothing had been published, but for what is locked. Nothing of it is stored
        unless you take it over.
      </p>
    </>
  );
}

/** Two plans side by side: as it is, and as is supposed. */
export function WhatIfPage() {
  const mayPlan = useIsOneOf('crewLead');
  const plan = useQuery({ ...planQueries.plan(), enabled: mayPlan });
  const days = useQuery({ ...planQueries.days(), enabled: mayPlan });
  const people = useQuery({ ...peopleQueries.list(), enabled: mayPlan });
  const workshop = useQuery({ ...siteQueries.workshop(), enabled: mayPlan });
  const failed = [plan, days, people, workshop].find(({ error }) => error);
  const facts =
    plan.data && days.data && people.data && workshop.data
      ? { plan: plan.data, days: days.data, people: people.data, workshop: workshop.data }
      : null;
  return (
    <>
      <PageHead
        name="What if"
        title="What if"
        under="Two plans side by side: as it is, and as you suppose; nothing is stored unless you take it over"
      >
        <Button component={Link} to="/season/plan">
          Visits planned
        </Button>
      </PageHead>
      {!mayPlan ? (
        <p>The crew lead tries what would be.</p>
      ) : facts ? (
        facts.plan.instance.days.length ? (
          <Suppose facts={facts} />
        ) : (
          <p>Nobody said yet when the workshop is open: say it under Days of the workshop.</p>
        )
      ) : failed?.error ? (
        <Failed error={failed.error} again={failed.refetch} />
      ) : (
        <Loading />
      )}
    </>
  );
}
