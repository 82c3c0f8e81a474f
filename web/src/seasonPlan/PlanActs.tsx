import Button from '@mui/material/Button';
import { useQueryClient } from '@tanstack/react-query';
import type { PublishPlanDto, SeasonPlanDto } from '@yugator/contracts';
import { capital, planChange } from '@yugator/core';
import { sentenceOf } from '../api/problem.js';
import { useWrite } from '../api/useWrite.js';
import form_ from '../form/form.module.css';
import { Caution } from '../page/Caution.js';
import { useNotice } from '../page/Notice.js';
import { useSession } from '../session/useSession.js';
import { momentWords } from '../words/dates.js';
import { cardsOfPlan, isOutlook, isSame, planOfCards, publishedCards, settledBy, toFields } from './cards.js';
import type { Card } from './cards.js';
import { planQueries } from './planQueries.js';
import type { Draft, useDraft } from './useDraft.js';
import { draftOf } from './proposal.js';
import { plansOnServer, usePlanning } from './usePlanning.js';
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
        {proposed ? ` ${capital(proposed.near)}.` : ''} {did ? `${did}.` : ''}
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
      <Caution title="Not planned">
        {
          <p>
            {planning.error ? sentenceOf(planning.error) : 'The planner came to no end.'} What is published
            stands.
          </p>
        }
      </Caution>
    );
  if (planning.state === 'idle') return null;
  const { best, onServer } = planning;
  if (onServer)
    return (
      <p role="status" aria-label="Planning">
        The server is planning: it takes some seconds.
      </p>
    );
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
  const client = useQueryClient();
  const { draft, change, undo, clear } = drafts;
  const { planning, begin, beginOnServer, stop } = usePlanning({
    onPlan: (found) => {
      const proposed = cardsOfPlan(found.plan, settledBy(cards, plan.instance));
      change({ plan, cards: proposed, proposed: { cards: proposed, near: nearWords(found) }, did: '' });
    },
    onProposal: (proposal) => change(draftOf(proposal, plan)),
  });
  const propose = () =>
    plansOnServer()
      ? beginOnServer({ cards: toFields(cards, plan), weeks: plan.weeks })
      : begin(settledBy(cards, plan.instance));
  const publish = useWrite<SeasonPlanDto, PublishPlanDto>(
    (body) => ({ method: 'PUT', path: '/season-plan', body }),
    ['plan'],
    (now) => {
      // Else what was published before would stand there until it is read anew.
      client.setQueryData(planQueries.plan().queryKey, now);
      clear();
      say(`${visitWords(publishedCards(now).length)} published.`);
    },
  );
  // Nobody is told of an outlook, but for what was told before.
  const before = publishedCards(plan);
  const told = cards.filter((card) => !isOutlook(card.day) || before.some((each) => isSame(each, card)));
  const isPlanning = planning.state === 'planning';
  return (
    <>
      <PlanningWords planning={planning} />
      {publish.error ? <Caution title="Not published">{<p>{sentenceOf(publish.error)}</p>}</Caution> : null}
      <div className={form_.acts} style={{ marginTop: 8 }}>
        {isPlanning ? (
          <Button onClick={stop}>{planning.onServer ? 'Stop' : 'Stop, and take the best so far'}</Button>
        ) : (
          <Button
            variant={draft ? 'outlined' : 'contained'}
            color={draft ? 'inherit' : 'primary'}
            onClick={propose}
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
              onClick={() => publish.mutate({ cards: toFields(told, plan), version: plan.version })}
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
      {told.length < cards.length ? (
        <p className="soft">
          What lies beyond twelve weeks is an outlook: it is planned to the week, and not published.
        </p>
      ) : null}
    </>
  );
}
