import type { PlanProposalDto, ProposePlanDto } from '@yugator/contracts';
import type { FoundPlan, PlannerInstance } from '@yugator/core';
import { startTransition, useEffect, useRef, useState } from 'react';
import { useWrite } from '../api/useWrite.js';
import { startPlanning } from './startPlanning.js';

/** How far planning is; a server that plans says nothing before it is done. */
export type Planning =
  | { readonly state: 'idle' }
  | { readonly state: 'failed'; readonly error: Error | null }
  | { readonly state: 'planning'; readonly best: FoundPlan | null; readonly onServer: boolean };

/** Who hears of the plan with which planning ends. */
interface Hearers {
  readonly onPlan: (found: FoundPlan) => void;
  readonly onProposal: (proposal: PlanProposalDto) => void;
}

/** Phones and tablets are slow, and planning empties their battery. */
export function plansOnServer(): boolean {
  return window.matchMedia('(pointer: coarse)').matches;
}

/** Plans in a worker, or on the server, when it is asked to; `stop` ends it with the best so far. */
export function usePlanning({ onPlan, onProposal }: Hearers) {
  const [planning, setPlanning] = useState<Planning>({ state: 'idle' });
  const end = useRef<() => void>(() => undefined);
  const ask = useWrite<PlanProposalDto, ProposePlanDto>(
    (body) => ({ method: 'POST', path: '/season-plan/propose', body }),
    [],
  );
  useEffect(() => () => end.current(), []);
  const begin = (instance: PlannerInstance) => {
    end.current();
    setPlanning({ state: 'planning', best: null, onServer: false });
    end.current = startPlanning(instance, (said) => {
      if (said.kind === 'failed') setPlanning({ state: 'failed', error: null });
      else if (said.kind === 'better') setPlanning({ state: 'planning', best: said.found, onServer: false });
      else
        // The whole wall is drawn anew: bit by bit, so that the page answers meanwhile.
        startTransition(() => {
          setPlanning({ state: 'idle' });
          onPlan(said.found);
        });
    });
  };
  const beginOnServer = (body: ProposePlanDto) => {
    end.current();
    const asked = { isWanted: true };
    end.current = () => {
      asked.isWanted = false;
    };
    setPlanning({ state: 'planning', best: null, onServer: true });
    ask.mutate(body, {
      onSuccess: (proposal) => {
        if (!asked.isWanted) return;
        startTransition(() => {
          setPlanning({ state: 'idle' });
          onProposal(proposal);
        });
      },
      onError: (error) => {
        if (asked.isWanted) setPlanning({ state: 'failed', error });
      },
    });
  };
  const stop = () => {
    end.current();
    if (planning.state === 'planning' && planning.best) onPlan(planning.best);
    setPlanning({ state: 'idle' });
  };
  return { planning, begin, beginOnServer, stop };
}
