import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render } from '@testing-library/react';
import type { Role, SiteDto } from '@yugator/contracts';
import type { ReactNode } from 'react';
import { MemoryRouter } from 'react-router';
import { NoticeProvider } from '../page/Notice.js';
import { SessionContext } from '../session/useSession.js';
import { SITE } from './fixtures.js';

interface Sent {
  readonly method: string;
  readonly path: string;
  readonly body: unknown;
}

type Heads = Readonly<Record<string, string>>;

type Refusal = Readonly<Record<string, unknown>> & { readonly status?: number };

export interface Wire {
  /** writes that went out, in order */
  readonly sent: Sent[];
  /** what stood at the head of each */
  readonly heads: Heads[];
  /** what the server refuses writes with from now on; null lets them pass */
  refuse(problem: Refusal | null): void;
  /** nothing can be reached, until it can again */
  cut(isCut: boolean): void;
}

/** What a site has that says nothing else: one shed, and no plan that could fail. */
const SIMPLEST: Readonly<Record<string, unknown>> = {
  '/api/stock-sheds': { sheds: [] },
  '/api/season-plan/troubles': { troubles: [] },
  '/api/season-plan/proposal': { proposal: null },
};

/** A server of a few answers by path, or one answer to every read; writes are noted and answered with what `onWrite` gives. */
export function wire(
  answers: Readonly<Record<string, unknown>> | (() => unknown),
  onWrite: (sent: Sent) => unknown = () => null,
): Wire {
  const sent: Sent[] = [];
  const heads: Heads[] = [];
  let refusal: Refusal | null = null;
  let isCut = false;
  const readOf = (path: string) =>
    typeof answers === 'function' ? answers() : (answers[path] ?? SIMPLEST[path]);
  globalThis.fetch = ((url: string, init: { method: string; body?: string; headers: Heads }) => {
    if (isCut) return Promise.reject(new TypeError('Failed to fetch'));
    const { method, headers } = init;
    const isRead = method === 'GET';
    const one: Sent = { method, path: url, body: JSON.parse(init.body ?? 'null') };
    if (!isRead) {
      sent.push(one);
      heads.push(headers);
    }
    const refused = !isRead && refusal !== null;
    return Promise.resolve({
      ok: !refused,
      status: refused ? (refusal?.status ?? 422) : 200,
      headers: new Map([['content-type', refused ? 'application/problem+json' : 'application/json']]),
      json: () => Promise.resolve(isRead ? readOf(url) : refused ? refusal : onWrite(one)),
    });
  }) as unknown as typeof fetch;
  return {
    sent,
    heads,
    refuse(problem) {
      refusal = problem;
    },
    cut(now) {
      isCut = now;
    },
  };
}

/** Shows a part of the product to somebody with a role, at the usual site or one that differs from it, at some address. */
export function showTo(
  role: Role,
  content: ReactNode,
  site: Partial<SiteDto> = {},
  at: string | { readonly pathname: string; readonly state: unknown } = '/',
  atShed: string | null = null,
) {
  const person = { id: 'p', name: 'Marit', role, active: true, version: 1 };
  return render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <NoticeProvider>
        <MemoryRouter initialEntries={[at]}>
          <SessionContext.Provider
            value={{ person, site: { ...SITE, ...site }, ownUnits: null, today: '2027-05-13', atShed }}
          >
            {content}
          </SessionContext.Provider>
        </MemoryRouter>
      </NoticeProvider>
    </QueryClientProvider>,
  );
}
