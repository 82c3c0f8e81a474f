import { isRecord } from '@yugator/core';
import { useCallback, useState } from 'react';

export type Draft = Readonly<Record<string, string>>;

function stored(key: string): Draft {
  try {
    const value: unknown = JSON.parse(sessionStorage.getItem(key) ?? '{}');
    const entries = Object.entries(isRecord(value) ? value : {});
    return Object.fromEntries(entries.map(([id, typed]) => [id, String(typed)]));
  } catch {
    return {}; // an unreadable draft is as good as none
  }
}

/** What was typed and not yet saved, by machine; survives a reload of the page. */
export function useDraft(
  key: string,
): readonly [Draft, (id: string, typed: string) => void, (ids: readonly string[]) => void] {
  const [draft, setDraft] = useState(() => stored(key));
  const change = useCallback(
    (next: (now: Draft) => Draft) =>
      setDraft((now) => {
        const changed = next(now);
        sessionStorage.setItem(key, JSON.stringify(changed));
        return changed;
      }),
    [key],
  );
  const type = useCallback(
    (id: string, typed: string) => change((now) => ({ ...now, [id]: typed })),
    [change],
  );
  const clear = useCallback(
    (ids: readonly string[]) =>
      change((now) => Object.fromEntries(Object.entries(now).filter(([id]) => !ids.includes(id)))),
    [change],
  );
  return [draft, type, clear];
}
