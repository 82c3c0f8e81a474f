import type { SeasonPlanDto } from '@yugator/contracts';
import { useState } from 'react';
import type { Card } from './cards.js';

/** Cards that are not published yet. They lie on the plan as it was read then: its work is told by place, and places change. */
export interface Draft {
  readonly plan: SeasonPlanDto;
  readonly cards: readonly Card[];
  /** what the planner proposed, and how near it came; null of cards that somebody moved by hand */
  readonly proposed: { readonly cards: readonly Card[]; readonly near: string } | null;
  /** what was done last, in words */
  readonly did: string;
}

const MOST_STEPS = 50;

/** A draft whose steps can be taken back, one by one. */
export function useDraft() {
  const [steps, setSteps] = useState<readonly Draft[]>([]);
  return {
    draft: steps.at(-1) ?? null,
    change: (draft: Draft) => setSteps((before) => [...before, draft].slice(-MOST_STEPS)),
    undo: () => setSteps((before) => before.slice(0, -1)),
    clear: () => setSteps([]),
  };
}
