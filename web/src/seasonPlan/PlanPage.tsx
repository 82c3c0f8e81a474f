import Button from '@mui/material/Button';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { DAILY_WEEKS } from '@yugator/contracts';
import type { SeasonPlanDto } from '@yugator/contracts';
import { keysOf } from '@yugator/core';
import { useEffect, useMemo, useState } from 'react';
import { Link, useLocation, useNavigate } from 'react-router';
import { Choose } from '../form/Choose.js';
import form_ from '../form/form.module.css';
import { Empty } from '../page/Empty.js';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import { PageHead } from '../page/PageHead.js';
import { useIsOneOf } from '../session/useSession.js';
import { shortDayWords } from '../words/dates.js';
import { CardDialog } from './CardDialog.js';
import { moved, publishedCards } from './cards.js';
import type { Card } from './cards.js';
import { ChangeList } from './ChangeList.js';
import { LateLines } from './LateLines.js';
import { PlanActs, StandWords } from './PlanActs.js';
import { movedWords } from './moves.js';
import { PastCards } from './PastCards.js';
import { planQueries } from './planQueries.js';
import styles from './plan.module.css';
import { PlanStanding } from './PlanStanding.js';
import { ZOOMS } from './columns.js';
import type { Zoom } from './columns.js';
import { PlanDays, PlanWall } from './PlanWall.js';
import { broughtDraft, useDraft } from './useDraft.js';
import { dayOn } from './wallWords.js';
import { WeeklyProposal } from './WeeklyProposal.js';
import { YearWall } from './YearWall.js';

const FORTNIGHT = 14;
const WEEKS_OF_HALF = 26;

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
        choices={keysOf(ZOOMS).map((key) => [key, ZOOMS[key].word])}
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

interface WallProps {
  readonly plan: SeasonPlanDto;
  readonly cards: readonly Card[];
  readonly shown: Shown;
  readonly onOpen: (card: Card) => void;
  readonly mayPlan: boolean;
  readonly onMove: (card: Card, day: number) => void;
}

function Wall({ plan, cards, shown, onOpen, mayPlan, onMove }: WallProps) {
  return shown.zoom === 'year' ? (
    <YearWall plan={plan} cards={cards} />
  ) : (
    <PlanWall plan={plan} cards={cards} {...shown} onOpen={onOpen} onMove={mayPlan ? onMove : undefined} />
  );
}

/** How an edit of the cards becomes a step of the draft. */
function steps({ draft, change }: ReturnType<typeof useDraft>) {
  return (of: SeasonPlanDto, next: readonly Card[], did: string) =>
    change({ plan: of, cards: next, proposed: draft?.proposed ?? null, did });
}

interface TopProps {
  readonly now: SeasonPlanDto;
  readonly plan: SeasonPlanDto;
  readonly cards: readonly Card[];
  readonly drafts: ReturnType<typeof useDraft>;
}

/** What stands, what speaks against it, and what is proposed instead. */
function PlanTop({ now, plan, cards, drafts }: TopProps) {
  const mayPlan = useIsOneOf('crewLead');
  const { draft, change } = drafts;
  const published = useMemo(() => publishedCards(plan), [plan]);
  return (
    <>
      <PlanStanding />
      {mayPlan && !draft ? <WeeklyProposal plan={plan} onTake={change} /> : null}
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
          onChange={(next, did) => steps(drafts)(plan, next, did)}
        />
      ) : null}
    </>
  );
}

/** Tells cards from others: what was judged is of these. */
function cardsKey(cards: readonly Card[]): string {
  return cards.map(({ machine, day, items }) => `${machine} ${day} ${items.join()}`).join(';');
}

interface PlanProps {
  readonly now: SeasonPlanDto;
  readonly shown: Shown;
  readonly onShow: (shown: Shown) => void;
}

function Plan({ now, shown, onShow }: PlanProps) {
  const mayPlan = useIsOneOf('crewLead');
  const { state }: { state: unknown } = useLocation();
  const navigate = useNavigate();
  const drafts = useDraft(broughtDraft(state, now));
  // What was brought along is taken once: it does not come back with the page.
  useEffect(() => {
    if (state) void navigate('.', { replace: true, state: null });
  }, [state, navigate]);
  const [opened, setOpened] = useState<{ readonly plan: SeasonPlanDto; readonly card: Card } | null>(null);
  const { draft } = drafts;
  const plan = draft?.plan ?? now;
  const cards = useMemo(() => draft?.cards ?? publishedCards(plan), [draft, plan]);
  const onOpen = (card: Card) => setOpened({ plan, card });
  const changed = steps(drafts);
  return (
    <>
      <PlanTop now={now} plan={plan} cards={cards} drafts={drafts} />
      {cards.length ? <LateLines key={cardsKey(cards)} plan={plan} cards={cards} /> : null}
      <PastCards plan={now} />
      <ZoomBar plan={plan} shown={shown} onShow={onShow} />
      {shown.zoom === 'half' && draft && plan.weeks < WEEKS_OF_HALF ? (
        <p className="soft">This draft is of twelve weeks. Publish it or put it away to see half a year.</p>
      ) : null}
      <Wall
        plan={plan}
        cards={cards}
        shown={shown}
        onOpen={onOpen}
        mayPlan={mayPlan}
        onMove={(card, day) => changed(plan, moved(cards, card, day), movedWords(plan, card, day))}
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
  const [shown, setShown] = useState<Shown>({ zoom: 'fortnight', from: 0 });
  const weeks = shown.zoom === 'half' ? WEEKS_OF_HALF : DAILY_WEEKS;
  const { data, error, refetch } = useQuery({
    ...planQueries.plan(weeks),
    enabled: mayRead,
    placeholderData: keepPreviousData,
  });
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
          <>
            <Button component={Link} to="/season/what-if">
              What if
            </Button>
            <Button component={Link} to="/season/workshop">
              Days of the workshop
            </Button>
          </>
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
        <Plan now={data} shown={shown} onShow={setShown} />
      )}
    </>
  );
}
