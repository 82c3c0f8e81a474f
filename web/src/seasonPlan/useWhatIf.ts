import { planSums, unpublished } from '@yugator/core';
import type { FoundPlan, PlannerInstance, PlanSums, SeasonPlan } from '@yugator/core';
import { useEffect, useRef, useState } from 'react';
import { startPlanning } from './startPlanning.js';

/** Two plans side by side: as it is, and as is supposed. */
export interface Compared {
  readonly asIs: PlanSums;
  readonly supposed: PlanSums;
}

export type WhatIf =
  | { readonly state: 'idle' | 'failed' }
  | { readonly state: 'planning'; readonly nth: 1 | 2 }
  | {
      readonly state: 'done';
      readonly compared: Compared;
      /** the plan as is supposed, and what it was made from */
      readonly plan: SeasonPlan;
      readonly instance: PlannerInstance;
    };

/** Plans twice in a worker, one after the other; nothing of it is stored. */
export function useWhatIf() {
  const [whatIf, setWhatIf] = useState<WhatIf>({ state: 'idle' });
  const end = useRef<() => void>(() => undefined);
  useEffect(() => () => end.current(), []);
  const plan = (instance: PlannerInstance, then: (found: FoundPlan) => void) => {
    end.current = startPlanning(instance, (said) => {
      if (said.kind === 'failed') setWhatIf({ state: 'failed' });
      if (said.kind === 'done') then(said.found);
    });
  };
  const begin = (instance: PlannerInstance, supposed: PlannerInstance) => {
    end.current();
    const [before, after] = [unpublished(instance), unpublished(supposed)];
    setWhatIf({ state: 'planning', nth: 1 });
    plan(before, (first) => {
      setWhatIf({ state: 'planning', nth: 2 });
      plan(after, (second) =>
        setWhatIf({
          state: 'done',
          compared: { asIs: planSums(before, first.plan), supposed: planSums(after, second.plan) },
          plan: second.plan,
          instance: after,
        }),
      );
    });
  };
  const stop = () => {
    end.current();
    setWhatIf({ state: 'idle' });
  };
  return { whatIf, begin, stop };
}
