import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, fireEvent, render, screen, waitFor } from '@testing-library/react';
import type { VisitDto } from '@yugator/contracts';
import { emptySpecCard } from '@yugator/contracts';
import { DEFAULT_HOUSE, usualFittings } from '@yugator/core';
import { MemoryRouter, Route, Routes } from 'react-router';
import { NoticeProvider } from '../page/Notice.js';
import { SessionContext } from '../session/useSession.js';
import { SITE } from '../testing/fixtures.js';
import { defect } from '../testing/records.js';
import { ComposePage } from './ComposePage.js';

const ITEMS = [
  { id: 'hoses', name: 'Radiator hoses: look over', action: 'inspect', components: ['radiatorHoses'] },
  { id: 'air', name: 'Primary air element: replace', action: 'replace', components: ['airFilter'] },
  { id: 'tyres', name: 'Tyre pressures', action: 'inspect', components: ['tyres'] },
] as const;
const line = (id: string, name: string, state: 'overdue' | 'coming' | 'fine'): VisitDto['lines'][number] => ({
  itemId: id,
  itemName: name,
  place: 'visit',
  action: 'inspect',
  components: [],
  bookName: null,
  state,
  minutes: 5,
  consequence: 'care',
  limits: [],
  unresolved: [],
  done: [],
  earlyOn: null,
  expectedOn: null,
  lateOn: null,
  baseline: { kind: 'noRecord', on: null, life: null },
});
const visit = (over: Partial<VisitDto> = {}): VisitDto => ({
  machine: { id: 'm', tag: 'T-02', name: 'Loader tractor' },
  openJobId: null,
  defects: [],
  setUp: {
    machineClass: 'compactTractor',
    fuel: 'diesel',
    cooling: 'liquid',
    ...DEFAULT_HOUSE,
    items: ITEMS,
    fittings: usualFittings('compactTractor', 'diesel'),
    spec: emptySpecCard(),
  },
  lines: [
    line('hoses', 'Radiator hoses: look over', 'overdue'),
    line('air', 'Primary air element: replace', 'coming'),
    line('tyres', 'Tyre pressures', 'fine'),
  ],
  vessels: { panLitres: 8, extractorLitres: 6, roomLitres: 40 },
  proposals: [
    { itemId: 'hoses', reason: { kind: 'due' } },
    {
      itemId: 'air',
      reason: { kind: 'openAlready', access: ['hood off'], savedMinutes: 4, thrownAway: 0.1 },
    },
  ],
  needs: [
    {
      itemId: 'air',
      articleId: 'a',
      name: 'Air element',
      unit: 'piece',
      quantity: 1,
      onHand: 0,
      priceMinor: 900,
      component: null,
      judgement: null,
      sheds: [],
    },
  ],
  kits: [],
  shed: null,
  ...over,
});

let answer: VisitDto;
let posted: unknown[];
beforeEach(() => {
  answer = visit();
  posted = [];
  globalThis.fetch = ((_url: string, init: { method: string; body?: string }) => {
    if (init.method === 'POST') posted.push(JSON.parse(init.body ?? 'null'));
    return Promise.resolve({
      ok: true,
      status: 200,
      headers: new Map([['content-type', 'application/json']]),
      json: () => Promise.resolve(init.method === 'POST' ? { id: 'new' } : answer),
    });
  }) as unknown as typeof fetch;
});

async function show(role: 'mechanic' | 'viewer' = 'mechanic') {
  const person = { id: 'p', name: 'Ansel', role, active: true, version: 1 };
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <NoticeProvider>
        <SessionContext.Provider
          value={{ person, site: SITE, ownUnits: null, atShed: null, today: '2027-05-13' }}
        >
          <MemoryRouter initialEntries={['/fleet/m/visit']}>
            <Routes>
              <Route path="/fleet/:machineId/visit" element={<ComposePage />} />
              <Route path="/jobs/:id" element={<p>The sheet of the new job</p>} />
            </Routes>
          </MemoryRouter>
        </SessionContext.Provider>
      </NoticeProvider>
    </QueryClientProvider>,
  );
  await screen.findByText(/a visit$/);
}
const box = (name: RegExp) => screen.getByRole<HTMLInputElement>('checkbox', { name });
const alone = () => Number(/(\d+) min alone/.exec(screen.getByText(/min alone/).textContent ?? '')?.[1]);

describe('a visit that is composed', () => {
  it('has chosen what is worth doing, each with why', async () => {
    await show();
    expect([/hoses/, /air element/, /Tyre/].map((name) => box(name).checked)).toEqual([true, true, false]);
    expect(
      screen.getByText(/hood off anyway, saves 4 min and throws 10 % of its interval away/),
    ).toBeDefined();
  });

  it('has minutes and parts follow at once', async () => {
    await show();
    const before = alone();
    expect(screen.getByText('1 × Air element (only 0 on hand)')).toBeDefined();
    await act(() => fireEvent.click(box(/air element/)));
    expect(alone()).toBeLessThan(before);
    expect(screen.queryByText(/Air element \(only/)).toBeNull();
    await act(() => fireEvent.click(box(/Tyre/)));
    await act(() => fireEvent.click(screen.getByRole('button', { name: 'Open the job' })));
    await waitFor(() => expect(screen.getByText('The sheet of the new job')).toBeDefined());
    expect(posted).toEqual([{ machineId: 'm', itemIds: ['hoses', 'tyres'] }]);
  });

  it('may be for the open defects alone', async () => {
    answer = visit({ lines: [], proposals: [], defects: [defect({ words: 'Deck belt is frayed' })] });
    await show();
    expect(screen.getByText('Deck belt is frayed (mend it soon)')).toBeVisible();
    expect(screen.getByText(/open the job for the open defects alone/)).toBeVisible();
    await act(() => fireEvent.click(screen.getByRole('button', { name: 'Open the job' })));
    await waitFor(() => expect(posted).toEqual([{ machineId: 'm', itemIds: [] }]));
  });

  it('is for nothing only where nothing is wrong: then it cannot be opened', async () => {
    answer = visit({ proposals: [] });
    await show();
    expect(screen.getByRole('button', { name: 'Open the job' })).toBeDisabled();
  });

  it('is not opened twice, nor by who only looks', async () => {
    answer = visit({ openJobId: 'j' });
    await show();
    expect(screen.getByRole('link', { name: 'Go on with it' }).getAttribute('href')).toBe('/jobs/j');
    expect(screen.queryByRole('checkbox')).toBeNull();
  });

  it('is not for a viewer', async () => {
    await show('viewer');
    expect(screen.getByText(/does not open them/)).toBeDefined();
  });
});
