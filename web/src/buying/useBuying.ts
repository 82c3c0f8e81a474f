import type { BuyingInstance, BuyingPlan, LockedPacks } from '@yugator/core';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { BuyingSaid } from './buyingWorker.js';
import { startBuying } from './startBuying.js';

/** What was reckoned, and what it would be otherwise. */
export interface Reckoned {
  readonly state: 'done';
  readonly plan: BuyingPlan;
  readonly loose: BuyingPlan | null;
  readonly kits: BuyingPlan | null;
}

/** How far the reckoning is. */
export type Buying =
  | { readonly state: 'reckoning'; readonly best: number | null }
  | { readonly state: 'stopped' }
  | { readonly state: 'failed' }
  | Reckoned;

function buyingOf(said: BuyingSaid): Buying {
  if (said.kind === 'better') return { state: 'reckoning', best: said.costMinor };
  if (said.kind === 'failed' || said.plan === null) return { state: 'failed' };
  return { state: 'done', plan: said.plan, loose: said.loose, kits: said.kits };
}

/**
 * What to buy, reckoned in a worker; anew whenever what it follows from changes. `stop` ends it, `again` begins it anew. `last`: what was
 * reckoned last, which stands there until the new is.
 */
export function useBuying(instance: BuyingInstance, locked: LockedPacks) {
  const [run, setRun] = useState(0);
  const ask = useMemo(() => ({ instance, locked, run }), [instance, locked, run]);
  // What was heard of an older question is no answer to this one.
  const [heard, setHeard] = useState<{ readonly of: object; readonly buying: Buying } | null>(null);
  const [last, setLast] = useState<Reckoned | null>(null);
  const end = useRef<() => void>(() => undefined);
  useEffect(() => {
    const stop = startBuying(ask, (said) => {
      const now = buyingOf(said);
      setHeard({ of: ask, buying: now });
      if (now.state === 'done') setLast(now);
    });
    end.current = stop;
    return stop;
  }, [ask]);
  const buying: Buying = heard?.of === ask ? heard.buying : { state: 'reckoning', best: null };
  return {
    buying,
    last,
    stop: () => {
      end.current();
      setHeard({ of: ask, buying: { state: 'stopped' } });
    },
    again: () => setRun((before) => before + 1),
  };
}
