import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import type { SeasonPlanDto } from '@yugator/contracts';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
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
import { PlanActs, StandWords } from './PlanActs.js';
import { movedWords } from './moves.js';
import { PastCards } from './PastCards.js';
import { planQueries } from './planQueries.js';
import styles from './plan.module.css';
import { PlanStanding } from './PlanStanding.js';
import { ZOOMS } from './columns.js';
import type { Zoom } from './columns.js';
import { PlanDays, PlanWall } from './PlanWall.js';
import { useDraft } from './useDraft.js';
import { dayOn } from './wallWords.js';

const FORTNIGHT = 14;

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
  const published = useMemo(() => publishedCards(plan), [plan]);
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
        <Plan now={data} />
      )}
    </>
  );
}
