import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import type { ArticleDto, JobDto, JobProgressDto, OutcomeDto, UpdateStepDto } from '@yugator/contracts';
import { createMemoryRouter, RouterProvider } from 'react-router';
import { untouched } from '../job/keptStep.js';
import { JobPage } from '../job/JobPage.js';
import { NoticeProvider } from '../page/Notice.js';
import { SessionContext } from '../session/useSession.js';
import { SITE } from './fixtures.js';
import { item, job } from './jobs.js';

export const ANSEL = '00000000-0000-7000-8000-000000000001';

const ANSWERS: Record<string, unknown> = {
  '/api/people': [
    { id: ANSEL, name: 'Ansel', role: 'mechanic', active: true, version: 1 },
    { id: 'q', name: 'Gone', role: 'mechanic', active: false, version: 2 },
  ],
};

/** The page of one job before a server that keeps what is said of it. */
export class JobShop {
  now: JobDto = job();
  readonly writes: { readonly url: string; readonly body: unknown }[] = [];
  /** what writes are refused with; null lets them pass */
  refusal: object | null = null;
  /** what lies on the shelf */
  shelf: ArticleDto[] = [];
  client = new QueryClient({ defaultOptions: { queries: { retry: false } } });

  constructor() {
    globalThis.fetch = ((url: string, init: { method: string; body?: string }) => {
      const refused = init.method !== 'GET' && this.refusal !== null;
      if (init.method !== 'GET') {
        const body: unknown = JSON.parse(init.body ?? 'null');
        this.writes.push({ url, body });
        if (!refused) this.write(url, body);
        if (!refused && url.includes('/steps/')) return this.answer(this.progress());
      }
      return refused ? this.answer(this.refusal, 422) : this.answer(this.read(url));
    }) as unknown as typeof fetch;
  }

  private read(url: string): unknown {
    return url === '/api/articles' ? this.shelf : (ANSWERS[url] ?? this.now);
  }

  private answer(body: unknown, status = 200) {
    const type = status === 200 ? 'application/json' : 'application/problem+json';
    return Promise.resolve({
      ok: status === 200,
      status,
      headers: new Map([['content-type', type]]),
      json: () => Promise.resolve(body),
    });
  }

  /** What a tick is answered with: what it changed, and nothing of the rest. */
  private progress(): JobProgressDto {
    const { items, steps, pausedReason, version } = this.now;
    return {
      items: items.map((each) => ({ itemId: each.itemId, outcome: each.outcome, version: each.version })),
      steps,
      pausedReason,
      version,
    };
  }

  async show() {
    const person = { id: ANSEL, name: 'Ansel', role: 'mechanic' as const, active: true, version: 1 };
    const router = createMemoryRouter([{ path: '/jobs/:jobId', element: <JobPage /> }], {
      initialEntries: ['/jobs/j'],
    });
    const view = render(
      <QueryClientProvider client={this.client}>
        <NoticeProvider>
          <SessionContext.Provider
            value={{ person, site: SITE, ownUnits: null, atShed: null, today: '2027-05-13' }}
          >
            <RouterProvider router={router} />
          </SessionContext.Provider>
        </NoticeProvider>
      </QueryClientProvider>,
    );
    // Asked anew at every change of the page: by its text, which is quick.
    await screen.findByText('Minutes', { selector: 'label' });
    // The sheet comes in a file of its own.
    await waitFor(() => expect(screen.queryByRole('status', { name: 'Loading' })).toBeNull());
    return view;
  }

  /** What the server does with a step or an outcome, as far as the page shows it. */
  private write(url: string, body: unknown): void {
    const [, kind, key = ''] = /\/(steps|items)\/([^/]+)$/.exec(url) ?? [];
    if (kind === 'steps') {
      const { timer, version, ...said } = body as UpdateStepDto;
      const name = decodeURIComponent(key);
      const before = this.now.steps.find((step) => step.key === name);
      const startedAt = timer === 'start' ? new Date().toISOString() : (before?.startedAt ?? null);
      const step = { ...untouched(name), ...before, ...said, startedAt, by: 'Ansel', version: version + 1 };
      this.now = { ...this.now, steps: [...this.now.steps.filter((each) => each !== before), step] };
    }
    if (kind === 'items') {
      const { outcome } = body as OutcomeDto;
      const items = this.now.items.map((each) => (each.itemId === key ? item(key, outcome) : each));
      this.now = { ...this.now, items };
    }
  }
}

export const press = (name: string | RegExp) =>
  act(() => fireEvent.click(screen.getByRole('button', { name })));

/** The card of a step by its words. */
export const card = (text: RegExp) => {
  const found = screen.getByText(text).parentElement;
  if (!found) throw new Error('A step stands in a card.');
  return within(found);
};
