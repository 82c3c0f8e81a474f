import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import type { PublishPlanDto, SeasonPlanDto } from '@yugator/contracts';
import { planChange } from '@yugator/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { sentenceOf } from '../api/problem.js';
import { useWrite } from '../api/useWrite.js';
import { Choose } from '../form/Choose.js';
import form_ from '../form/form.module.css';
import { Caution } from '../page/Caution.js';
import { Empty } from '../page/Empty.js';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import { useNotice } from '../page/Notice.js';
import { PageHead } from '../page/PageHead.js';
import { useIsOneOf, useSession } from '../session/useSession.js';
import { momentWords, shortDayWords } from '../words/dates.js';
import { CardDialog } from './CardDialog.js';
import { cardsOfPlan, moved, planOfCards, publishedCards, settledBy, toFields } from './cards.js';
import type { Card } from './cards.js';
import { ChangeList } from './ChangeList.js';
import { movedWords } from './moves.js';
import { PastCards } from './PastCards.js';
import { planQueries } from './planQueries.js';
import styles from './plan.module.css';
import { PlanStanding } from './PlanStanding.js';
import { PlanDays, PlanWall, ZOOMS } from './PlanWall.js';
import type { Zoom } from './PlanWall.js';
import { useDraft } from './useDraft.js';
import type { Draft } from './useDraft.js';
import { usePlanning } from './usePlanning.js';
import type { Planning } from './usePlanning.js';
import { changeWords, dayOn, nearWords, visitWords } from './wallWords.js';

const FORTNIGHT = 14;

/** What stands there: what is published, or what is proposed against it; `now`: the plan as it stands by now. */
function StandWords({
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
function PlanActs({ plan, cards, drafts }: ActsProps) {
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

interface Shown {
  readonly zoom: Zoom;
  /** first day, counted from today */
  readonly from: number;
}

function ZoomBar({
  plan,
  shown,
  onShow,
}: {
  plan: SeasonPlanDto;
  shown: Shown;
  onShow: (shown: Shown) => void;
}) {
  const { zoom, from } = shown;
  const last = plan.instance.horizon - ZOOMS[zoom].days;
  const show = (day: number) => onShow({ zoom, from: Math.min(last, Math.max(0, day)) });
  return (
    <div className={`${form_.acts} ${styles.zoom}`}>
      <Choose<Zoom>
        label="Shown"
        size="small"
        sx={{ width: 190 }}
        value={zoom}
        choices={[
          ['fortnight', ZOOMS.fortnight.word],
          ['quarter', ZOOMS.quarter.word],
        ]}
        onChange={(next) => onShow({ zoom: next, from: 0 })}
      />
      {zoom === 'fortnight' ? (
        <>
          <Button disabled={from === 0} onClick={() => show(from - FORTNIGHT)}>
            Earlier
          </Button>
          <Button disabled={from >= last} onClick={() => show(from + FORTNIGHT)}>
            Later
          </Button>
          <span className="soft">from {shortDayWords(dayOn(plan, from))}</span>
        </>
      ) : null}
    </div>
  );
}

function Plan({ now }: { now: SeasonPlanDto }) {
  const mayPlan = useIsOneOf('crewLead');
  const drafts = useDraft();
  const [opened, setOpened] = useState<{ readonly plan: SeasonPlanDto; readonly card: Card } | null>(null);
  const [shown, setShown] = useState<Shown>({ zoom: 'fortnight', from: 0 });
  const { draft, change } = drafts;
  const plan = draft?.plan ?? now;
  const published = publishedCards(plan);
  const cards = draft?.cards ?? published;
  const onOpen = (card: Card) => setOpened({ plan, card });
  const changed = (of: SeasonPlanDto, next: readonly Card[], did: string) =>
    change({ plan: of, cards: next, proposed: draft?.proposed ?? null, did });
  return (
    <>
      <PlanStanding />
      <div className={styles.sum}>
        <StandWords now={now} cards={cards} draft={draft} />
        {mayPlan ? <PlanActs plan={plan} cards={cards} drafts={drafts} /> : null}
      </div>
      {draft?.proposed && published.length ? (
        <ChangeList
          plan={plan}
          published={published}
          proposed={draft.proposed.cards}
          cards={cards}
          onChange={(next, did) => changed(plan, next, did)}
        />
      ) : null}
      <PastCards plan={now} />
      <ZoomBar plan={plan} shown={shown} onShow={setShown} />
      <PlanWall
        plan={plan}
        cards={cards}
        {...shown}
        onOpen={onOpen}
        onMove={
          mayPlan
            ? (card, day) => changed(plan, moved(cards, card, day), movedWords(plan, card, day))
            : undefined
        }
      />
      <PlanDays plan={plan} cards={cards} onOpen={onOpen} />
      {opened ? (
        <CardDialog
          plan={opened.plan}
          cards={draft?.cards ?? publishedCards(opened.plan)}
          card={opened.card}
          onChange={(next, did) => changed(opened.plan, next, did)}
          onLeave={() => setOpened(null)}
        />
      ) : null}
    </>
  );
}

/** Which machine comes to the workshop on which day: what is published, and what the planner proposes. */
export function PlanPage() {
  const mayRead = useIsOneOf('crewLead', 'mechanic');
  const mayPlan = useIsOneOf('crewLead');
  const { data, error, refetch } = useQuery({ ...planQueries.plan(), enabled: mayRead });
  return (
    <>
      <PageHead
        name="Visits planned"
        title="Visits planned"
        under="Which machine comes to the workshop on which day, and for what"
      >
        <Button component={Link} to="/season">
          Seasons
        </Button>
        {mayRead ? (
          <Button component={Link} to="/season/load">
            Load ahead
          </Button>
        ) : null}
        {mayPlan ? (
          <Button component={Link} to="/season/workshop">
            Days of the workshop
          </Button>
        ) : null}
      </PageHead>
      {!mayRead ? (
        <p>Mechanics and the crew lead see the plan.</p>
      ) : !data ? (
        error ? (
          <Failed error={error} again={refetch} />
        ) : (
          <Loading />
        )
      ) : data.instance.days.length === 0 ? (
        <Empty title="Nobody said yet when the workshop is open.">
          {<p>Say it under Days of the workshop; then visits can be planned.</p>}
        </Empty>
      ) : (
        <Plan now={data} />
      )}
    </>
  );
}
