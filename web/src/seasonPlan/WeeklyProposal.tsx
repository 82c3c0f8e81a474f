import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import type { SeasonPlanDto } from '@yugator/contracts';
import { planChange } from '@yugator/core';
import { useSession } from '../session/useSession.js';
import { momentWords } from '../words/dates.js';
import { planOfCards, publishedCards } from './cards.js';
import { planQueries } from './planQueries.js';
import styles from './plan.module.css';
import { draftOf } from './proposal.js';
import type { Draft } from './useDraft.js';
import { changeWords } from './wallWords.js';

/** What the server proposed for this week by itself, where it changes anything. */
export function WeeklyProposal({ plan, onTake }: { plan: SeasonPlanDto; onTake: (draft: Draft) => void }) {
  const { site, today } = useSession();
  const { data } = useQuery(planQueries.weekly());
  const proposal = data?.proposal;
  if (!proposal) return null;
  const draft = draftOf(proposal, plan);
  const { instance } = plan;
  const change = planChange(planOfCards(publishedCards(plan), instance), planOfCards(draft.cards, instance));
  if (change.added + change.changed + change.dropped === 0) return null;
  return (
    <section className={styles.past} aria-label="Proposed for this week">
      <b>Proposed for this week,</b> {momentWords(proposal.madeAt, site.timeZone, today)}:{' '}
      {changeWords(change)}.{' '}
      <Button size="small" onClick={() => onTake(draft)}>
        Look at it
      </Button>
    </section>
  );
}
