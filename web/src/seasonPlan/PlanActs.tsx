import Button from '@mui/material/Button';
import type { PublishPlanDto, SeasonPlanDto } from '@yugator/contracts';
import { planChange } from '@yugator/core';
import { sentenceOf } from '../api/problem.js';
import { useWrite } from '../api/useWrite.js';
import form_ from '../form/form.module.css';
import { Caution } from '../page/Caution.js';
import { useNotice } from '../page/Notice.js';
import { useSession } from '../session/useSession.js';
import { momentWords } from '../words/dates.js';
import { cardsOfPlan, planOfCards, publishedCards, settledBy, toFields } from './cards.js';
import type { Card } from './cards.js';
import type { Draft, useDraft } from './useDraft.js';
import { usePlanning } from './usePlanning.js';
import type { Planning } from './usePlanning.js';
import { changeWords, nearWords, visitWords } from './wallWords.js';

/** What stands there: what is published, or what is proposed against it; `now`: the plan as it stands by now. */
export function StandWords({
  now,
  cards,
  draft,
}: {
  now: SeasonPlanDto;
  cards: readonly Card[];
  draft: Draft | null;
}) {
  const { site, today } = useSession();
  if (!draft)
    return (
      <p>
        {now.publishedAt
          ? `${visitWords(cards.length)} from today on, published ${momentWords(now.publishedAt, site.timeZone, today)} by ${now.publishedBy ?? 'somebody'}.`
          : 'No plan is published yet.'}
      </p>
    );
  const { plan, proposed, did } = draft;
  const { instance } = plan;
  const change = planChange(planOfCards(publishedCards(plan), instance), planOfCards(cards, instance));
  return (
    <>
      <p>
        <b>Not published:</b> {visitWords(cards.length)}, {changeWords(change) || 'nothing planned'}.
        {proposed ? ` Of all plans, ${proposed.near}.` : ''} {did ? `${did}.` : ''}
      </p>
      {plan.version === now.version ? null : (
        <Caution title="Published meanwhile" quiet>
          {<p>Somebody published another plan. Put yours away, and propose again against that one.</p>}
        </Caution>
      )}
    </>
  );
}

/** How far the planner is. */
function PlanningWords({ planning }: { planning: Planning }) {
  if (planning.state === 'failed')
    return (
      <Caution title="Not planned">{<p>The planner came to no end. What is published stands.</p>}</Caution>
    );
  if (planning.state === 'idle') return null;
  const { best } = planning;
  return (
    <p role="status" aria-label="Planning">
      Planning …{' '}
      {best
        ? `${visitWords(best.plan.flat().length)} so far; ${nearWords(best)}.`
        : 'A first plan is there in a moment.'}
    </p>
  );
}

interface ActsProps {
  readonly plan: SeasonPlanDto;
  readonly cards: readonly Card[];
  readonly drafts: ReturnType<typeof useDraft>;
}

/** What the crew lead does with the plan: has one proposed, publishes it, or puts it away. */
export function PlanActs({ plan, cards, drafts }: ActsProps) {
  const say = useNotice();
  const { draft, change, undo, clear } = drafts;
  const { planning, begin, stop } = usePlanning((found) => {
    const proposed = cardsOfPlan(found.plan, settledBy(cards, plan.instance));
    change({ plan, cards: proposed, proposed: { cards: proposed, near: nearWords(found) }, did: '' });
  });
  const publish = useWrite<SeasonPlanDto, PublishPlanDto>(
    (body) => ({ method: 'PUT', path: '/season-plan', body }),
    ['plan'],
    (now) => {
      clear();
      say(`${visitWords(publishedCards(now).length)} published.`);
    },
  );
  const isPlanning = planning.state === 'planning';
  return (
    <>
      <PlanningWords planning={planning} />
      {publish.error ? <Caution title="Not published">{<p>{sentenceOf(publish.error)}</p>}</Caution> : null}
      <div className={form_.acts} style={{ marginTop: 8 }}>
        {isPlanning ? (
          <Button onClick={stop}>Stop, and take the best so far</Button>
        ) : (
          <Button
            variant={draft ? 'outlined' : 'contained'}
            color={draft ? 'inherit' : 'primary'}
            onClick={() => begin(settledBy(cards, plan.instance))}
          >
            {cards.length ? 'Propose again' : 'Propose a plan'}
          </Button>
        )}
        {draft ? (
          <>
            <Button
              variant="contained"
              color="primary"
              loading={publish.isPending}
              disabled={isPlanning}
              onClick={() => publish.mutate({ cards: toFields(cards, plan), version: plan.version })}
            >
              Publish
            </Button>
            <Button disabled={isPlanning} onClick={undo}>
              Undo
            </Button>
            <Button variant="text" disabled={isPlanning} onClick={clear}>
              Put it away
            </Button>
          </>
        ) : null}
      </div>
    </>
  );
}
