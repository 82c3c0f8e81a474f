import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, fireEvent, render, screen, waitFor } from '@testing-library/react';
import type { JobDto, SignOffDto } from '@yugator/contracts';
import { createMemoryRouter, RouterProvider } from 'react-router';
import { NoticeProvider } from '../page/Notice.js';
import { SessionContext } from '../session/useSession.js';
import { SITE } from '../testing/fixtures.js';
import { JobPage } from './JobPage.js';

const item = (itemId: string, name: string, minutes: number, ticked: boolean): JobDto['items'][number] => ({
  ...{ itemId, name, minutes, ticked, version: ticked ? 2 : 1, due: null },
});
const kit = {
  articleId: 'kit',
  name: 'Oil change kit',
  unit: 'piece',
  quantity: 1,
  onHand: 5,
  priceMinor: 2890,
} as const;
const filter = { ...kit, articleId: 'filter', name: 'Air filter', priceMinor: 1150 } as const;
const job = (over: Partial<JobDto> = {}): JobDto => ({
  ...{ id: 'j', machine: { id: 'm', tag: 'M-07', name: 'Lakeside' }, state: 'open', openedOn: '2027-05-12' },
  ...{ openedBy: 'Marit', proposed: [], lastShown: 412.6, version: 1, record: null },
  items: [item('oil', 'Engine oil and filter', 30, false), item('air', 'Air filter: replace', 5, false)],
  ...over,
});
const oilTicked = job({
  version: 2,
  proposed: [kit],
  items: [item('oil', 'Engine oil and filter', 30, true), item('air', 'Air filter: replace', 5, false)],
});
const bothTicked = job({
  version: 3,
  proposed: [kit, filter],
  items: [item('oil', 'Engine oil and filter', 30, true), item('air', 'Air filter: replace', 5, true)],
});
const ANSWERS: Record<string, unknown> = {
  '/api/people': [
    { id: 'p', name: 'Ansel', role: 'mechanic', active: true, version: 1 },
    { id: 'q', name: 'Gone', role: 'mechanic', active: false, version: 2 },
  ],
  '/api/articles': [],
};

let now: JobDto;
let writes: { url: string; body: unknown }[];
let refusal: object | null;
beforeEach(() => {
  now = job();
  writes = [];
  refusal = null;
  globalThis.fetch = ((url: string, init: { method: string; body?: string }) => {
    if (init.method !== 'GET') writes.push({ url, body: JSON.parse(init.body ?? 'null') });
    if (init.method === 'PUT') now = writes.length === 1 ? oilTicked : bothTicked;
    const refused = init.method === 'POST' && refusal !== null;
    return Promise.resolve({
      ok: !refused,
      status: refused ? 422 : 200,
      headers: new Map([['content-type', refused ? 'application/problem+json' : 'application/json']]),
      json: () => Promise.resolve(refused ? refusal : (ANSWERS[url] ?? now)),
    });
  }) as unknown as typeof fetch;
});

async function show() {
  const person = { id: 'p', name: 'Ansel', role: 'mechanic' as const, active: true, version: 1 };
  const site = SITE;
  const router = createMemoryRouter([{ path: '/jobs/:jobId', element: <JobPage /> }], {
    initialEntries: ['/jobs/j'],
  });
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <NoticeProvider>
        <SessionContext.Provider value={{ person, site, ownUnits: null, today: '2027-05-13' }}>
          <RouterProvider router={router} />
        </SessionContext.Provider>
      </NoticeProvider>
    </QueryClientProvider>,
  );
  await screen.findByLabelText('Minutes');
}
const minutes = () => screen.getByLabelText<HTMLInputElement>('Minutes');
const tick = (name: RegExp) => act(() => fireEvent.click(screen.getByRole('checkbox', { name })));

describe('a job', () => {
  it('stands under its caution, and cannot be signed off before anything is ticked', async () => {
    await show();
    expect(screen.getByText('Before you begin')).toBeDefined();
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Sign off' }).disabled).toBe(true);
    expect(screen.getByText('Tick what is done first.')).toBeDefined();
  });

  it('proposes the minutes and parts of what is ticked', async () => {
    await show();
    await tick(/Engine oil/);
    await waitFor(() => expect(minutes().value).toBe('30'));
    expect(screen.getByLabelText<HTMLInputElement>('Pieces of Oil change kit').value).toBe('1');
    expect(screen.getByText('1 item not ticked: not done, due as before.')).toBeDefined();
    await tick(/Air filter/);
    await waitFor(() => expect(minutes().value).toBe('35'));
    expect(screen.getByLabelText('Pieces of Air filter')).toBeDefined();
  });

  it('leaves alone what somebody put right by hand', async () => {
    await show();
    await tick(/Engine oil/);
    await waitFor(() => expect(minutes().value).toBe('30'));
    fireEvent.change(minutes(), { target: { value: '50' } });
    await tick(/Air filter/);
    await screen.findByLabelText('Pieces of Air filter');
    expect(minutes().value).toBe('50');
  });

  it('is signed off with what stands in the form, and shows at its field what the server refuses', async () => {
    await show();
    await tick(/Engine oil/);
    await waitFor(() => expect(minutes().value).toBe('30'));
    refusal = {
      ...{ type: 'about:blank', title: 't', status: 422, detail: 'd' },
      errors: [{ pointer: '#/shown', code: 'backwards', detail: 'Less than the 412.6 h read before.' }],
    };
    fireEvent.change(screen.getByLabelText('Hours on the meter'), { target: { value: '411,5' } });
    fireEvent.click(screen.getByRole('button', { name: 'Sign off' }));
    await screen.findByText('Less than the 412.6 h read before.');
    expect(screen.getByLabelText<HTMLInputElement>('Hours on the meter').value).toBe('411,5');
    const sent = writes.at(-1)?.body as SignOffDto;
    expect(sent).toMatchObject({
      doneOn: '2027-05-13',
      shown: 411.5,
      doneById: 'p',
      minutes: 30,
      version: 2,
    });
    expect(sent.draws).toEqual([{ articleId: 'kit', quantity: 1 }]);
  });
});
