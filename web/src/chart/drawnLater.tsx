import { lazy } from 'react';
import type { ComponentType } from 'react';

function NotHere() {
  return <p className="soft">The drawing could not be fetched. Reload the page when there is a signal.</p>;
}

/**
 * A chart that comes after the words beside it: what draws it weighs as much as everything else, and is not kept for where there is no
 * signal. Where it cannot be fetched a line says so, and the words stay.
 */
export function drawnLater<P extends object>(fetched: () => Promise<ComponentType<P>>): ComponentType<P> {
  return lazy<ComponentType<P>>(() =>
    fetched().then(
      (Chart) => ({ default: Chart }),
      (error: unknown) => {
        console.warn('A drawing is missing.', error);
        return { default: NotHere };
      },
    ),
  );
}
