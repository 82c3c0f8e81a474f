import type { FoundPlan, PlannerInstance } from '@yugator/core';
import { useEffect, useRef, useState } from 'react';
import { startPlanning } from './startPlanning.js';

/** How far planning is. */
export type Planning =
  | { readonly state: 'idle' }
  | { readonly state: 'failed' }
  | { readonly state: 'planning'; readonly best: FoundPlan | null };

/** Plans in a worker when it is asked to; `onPlan` hears of the plan it ends with, `stop` ends it with the best so far. */
export function usePlanning(onPlan: (found: FoundPlan) => void) {
  const [planning, setPlanning] = useState<Planning>({ state: 'idle' });
  const end = useRef<() => void>(() => undefined);
  useEffect(() => () => end.current(), []);
  const begin = (instance: PlannerInstance) => {
    end.current();
    setPlanning({ state: 'planning', best: null });
    end.current = startPlanning(instance, (said) => {
      if (said.kind === 'failed') setPlanning({ state: 'failed' });
      else if (said.kind === 'better') setPlanning({ state: 'planning', best: said.found });
      else {
        setPlanning({ state: 'idle' });
        onPlan(said.found);
      }
    });
  };
  const stop = () => {
    end.current();
    if (planning.state === 'planning' && planning.best) onPlan(planning.best);
    setPlanning({ state: 'idle' });
  };
  return { planning, begin, stop };
}
