import type { PlanProposalDto, SeasonPlanDto } from '@yugator/contracts';
import { cardsOfFields } from './cards.js';
import type { Draft } from './useDraft.js';
import { nearWords } from './wallWords.js';

/** A plan that the server made, as a draft. */
export function draftOf(proposal: PlanProposalDto, plan: SeasonPlanDto): Draft {
  const cards = cardsOfFields(proposal.cards, plan);
  return { plan, cards, proposed: { cards, near: nearWords(proposal) }, did: '' };
}
