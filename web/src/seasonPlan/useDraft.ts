import type { SeasonPlanDto, VisitCardFieldsDto } from '@yugator/contracts';
import { isRecord } from '@yugator/core';
import { useState } from 'react';
import { cardsOfFields } from './cards.js';
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

/** Visits that are brought along from another page, and what they suppose. */
export interface Brought {
  readonly cards: readonly VisitCardFieldsDto[];
  readonly words: string;
}

function isBrought(value: unknown): value is Brought {
  return isRecord(value) && Array.isArray(value['cards']) && typeof value['words'] === 'string';
}

/** The draft that was brought along (the state of a navigation); null where none was. */
export function broughtDraft(state: unknown, plan: SeasonPlanDto): Draft | null {
  const brought = isRecord(state) ? state['brought'] : null;
  if (!isBrought(brought)) return null;
  return {
    plan,
    cards: cardsOfFields(brought.cards, plan),
    proposed: null,
    did: `As supposed: ${brought.words}`,
  };
}

const MOST_STEPS = 50;

/** A draft whose steps can be taken back, one by one; `first`: what is brought along from elsewhere. */
export function useDraft(first: Draft | null) {
  const [steps, setSteps] = useState<readonly Draft[]>(first ? [first] : []);
  return {
    draft: steps.at(-1) ?? null,
    change: (draft: Draft) => setSteps((before) => [...before, draft].slice(-MOST_STEPS)),
    undo: () => setSteps((before) => before.slice(0, -1)),
    clear: () => setSteps([]),
  };
}
