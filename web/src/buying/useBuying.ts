import type { BuyingInstance, BuyingPlan, LockedPacks } from '@yugator/core';
import { useEffect, useState } from 'react';
import { startBuying } from './startBuying.js';

/** How far the reckoning is. */
export type Buying =
  | { readonly state: 'reckoning'; readonly best: number | null }
  | { readonly state: 'stopped' }
  | { readonly state: 'failed' }
  | {
      readonly state: 'done';
      readonly plan: BuyingPlan;
      readonly loose: BuyingPlan | null;
      readonly kits: BuyingPlan | null;
    };

/** What to buy, reckoned in a worker; anew whenever what it follows from changes. `stop` ends it, `again` begins it anew. */
export function useBuying(instance: BuyingInstance, locked: LockedPacks) {
  const [buying, setBuying] = useState<Buying>({ state: 'reckoning', best: null });
  const [run, setRun] = useState(0);
  const [stop, setStop] = useState<() => void>(() => () => undefined);
  useEffect(() => {
    setBuying({ state: 'reckoning', best: null });
    const end = startBuying({ instance, locked }, (said) => {
      if (said.kind === 'better') setBuying({ state: 'reckoning', best: said.costMinor });
      else if (said.kind === 'failed' || said.plan === null) setBuying({ state: 'failed' });
      else setBuying({ state: 'done', plan: said.plan, loose: said.loose, kits: said.kits });
    });
    setStop(() => () => {
      end();
      setBuying({ state: 'stopped' });
    });
    return end;
  }, [instance, locked, run]);
  return { buying, stop, again: () => setRun((before) => before + 1) };
}
