import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, configure, fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import type { JobDto, OutcomeDto, SignOffDto, UpdateStepDto } from '@yugator/contracts';
import { handsOnMinutes, sheetSteps } from '@yugator/core';
import { createMemoryRouter, RouterProvider } from 'react-router';
import { NoticeProvider } from '../page/Notice.js';
import { SessionContext } from '../session/useSession.js';
import { dueLine, hoursLimit, SITE } from '../testing/fixtures.js';
import { ITEMS, item, job, KIT } from '../testing/jobs.js';
import { JobPage } from './JobPage.js';
import { outcomeWords } from './outcomeWords.js';

const ANSEL = '00000000-0000-7000-8000-000000000001';
const DEFECT = '00000000-0000-7000-8000-000000000002';

/** A whole sheet is a large page; on a busy machine it takes its time. */
const PATIENCE_MS = 20_000;
jest.setTimeout(2 * PATIENCE_MS);
configure({ asyncUtilTimeout: PATIENCE_MS });

const ANSWERS: Record<string, unknown> = {
  '/api/people': [
    { id: ANSEL, name: 'Ansel', role: 'mechanic', active: true, version: 1 },
    { id: 'q', name: 'Gone', role: 'mechanic', active: false, version: 2 },
  ],
  '/api/articles': [],
};

let now: JobDto;
let writes: { url: string; body: unknown }[];
let refusal: object | null;

/** What the server does with a step or an outcome, as far as the page shows it. */
function write(url: string, body: unknown): void {
  const [, kind, key = ''] = /\/(steps|items)\/([^/]+)$/.exec(url) ?? [];
  if (kind === 'steps') {
    const { isDone, isAcknowledged, found, version, timer } = body as UpdateStepDto;
    const before = now.steps.find((step) => step.key === decodeURIComponent(key));
    const startedAt = timer === 'start' ? new Date().toISOString() : (before?.startedAt ?? null);
    const step = {
      key: decodeURIComponent(key),
      isDone,
      isAcknowledged,
      found,
      startedAt,
      by: 'Ansel',
      version: version + 1,
    };
    now = { ...now, steps: [...now.steps.filter((each) => each !== before), step] };
  }
  if (kind === 'items') {
    const { outcome } = body as OutcomeDto;
    const items = now.items.map((each) => (each.itemId === key ? item(key, outcome) : each));
    now = { ...now, items, proposed: items[0]?.outcome === 'done' ? [KIT] : [] };
  }
}

beforeEach(() => {
  now = job();
  writes = [];
  refusal = null;
  globalThis.fetch = ((url: string, init: { method: string; body?: string }) => {
    const refused = init.method !== 'GET' && refusal !== null;
    if (init.method !== 'GET') {
      const body: unknown = JSON.parse(init.body ?? 'null');
      writes.push({ url, body });
      if (!refused) write(url, body);
    }
    return Promise.resolve({
      ok: !refused,
      status: refused ? 422 : 200,
      headers: new Map([['content-type', refused ? 'application/problem+json' : 'application/json']]),
      json: () => Promise.resolve(refused ? refusal : (ANSWERS[url] ?? now)),
    });
  }) as unknown as typeof fetch;
});

let client: QueryClient;
async function show() {
  client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  const person = { id: ANSEL, name: 'Ansel', role: 'mechanic' as const, active: true, version: 1 };
  const router = createMemoryRouter([{ path: '/jobs/:jobId', element: <JobPage /> }], {
    initialEntries: ['/jobs/j'],
  });
  const view = render(
    <QueryClientProvider client={client}>
      <NoticeProvider>
        <SessionContext.Provider value={{ person, site: SITE, ownUnits: null, today: '2027-05-13' }}>
          <RouterProvider router={router} />
        </SessionContext.Provider>
      </NoticeProvider>
    </QueryClientProvider>,
  );
  await screen.findByLabelText('Minutes');
  return view;
}
const minutes = () => screen.getByLabelText<HTMLInputElement>('Minutes');
/** Minutes of hands that the oil change takes, as its sheet has them. */
const ofOil = () => String(handsOnMinutes(now.setUp, ['oil']));
const press = (name: string | RegExp) => act(() => fireEvent.click(screen.getByRole('button', { name })));
const card = (text: RegExp) => {
  const found = screen.getByText(text).parentElement;
  if (!found) throw new Error('A step stands in a card.');
  return within(found);
};

describe('the sheet of a job', () => {
  it('says how long it takes, what to fetch and what is short, and holds every step', async () => {
    await show();
    expect(screen.getByText(/min alone/)).toBeDefined();
    expect(screen.getByText('1 × Oil change kit (only 0 on hand)')).toBeDefined();
    const shown = document.body.textContent;
    for (const { text, phase } of sheetSteps(now.setUp)) {
      if (phase !== 'signOff') expect(shown).toContain(text);
    }
  });

  it('holds a step that can maim until its caution was read', async () => {
    await show();
    const tips = () => card(/^Measure both tips/);
    expect(tips().getByRole<HTMLButtonElement>('button', { name: 'Read it first' }).disabled).toBe(true);
    await act(() => fireEvent.click(tips().getByRole('checkbox')));
    await waitFor(() => expect(tips().getByRole('button', { name: 'Done' })).toBeDefined());
    expect(writes).toMatchObject([
      { url: '/api/jobs/j/steps/blades.tips', body: { isAcknowledged: true, isDone: false } },
    ]);
  });

  it('judges what is measured as it is typed, and keeps it with the tick', async () => {
    await show();
    const tips = () => card(/^Measure both tips/);
    fireEvent.change(tips().getByLabelText('First tip (mm)'), { target: { value: '80' } });
    fireEvent.change(tips().getByLabelText('Second tip (mm)'), { target: { value: '3 1/4 in' } });
    // 3 1/4 in are 82.55 mm: 2.55 apart.
    expect(tips().getByText(/Straight/)).toBeDefined();
    fireEvent.change(tips().getByLabelText('Second tip (mm)'), { target: { value: '85' } });
    expect(tips().getByText(/Bent/)).toBeDefined();
    await act(() => fireEvent.click(tips().getByRole('checkbox')));
    await waitFor(() => expect(writes.length).toBeGreaterThan(0));
    expect(writes.at(-1)?.body).toMatchObject({ found: { first: 80, second: 85 } });
  });

  it('does not write over what somebody else typed after what was typed here was kept', async () => {
    await show();
    const tips = () => card(/^Measure both tips/);
    fireEvent.change(tips().getByLabelText('First tip (mm)'), { target: { value: '80' } });
    await waitFor(() => expect(writes.at(-1)?.body).toMatchObject({ found: { first: 80 } }));
    // Somebody else puts the figure right.
    const [mine] = now.steps;
    if (!mine) throw new Error('The step was not kept.');
    now = { ...now, steps: [{ ...mine, found: { first: 91 }, by: 'Marit', version: mine.version + 1 }] };
    await act(() => client.invalidateQueries());
    await waitFor(() => expect(tips().getByLabelText<HTMLInputElement>('First tip (mm)').value).toBe('91'));
    await act(() => fireEvent.click(tips().getByRole('checkbox')));
    await waitFor(() => expect(writes.at(-1)?.body).toMatchObject({ found: { first: 91 }, version: 2 }));
  });

  it('keeps what was typed when the step is left before it was kept', async () => {
    const { unmount } = await show();
    fireEvent.change(card(/^Measure both tips/).getByLabelText('First tip (mm)'), {
      target: { value: '80' },
    });
    unmount();
    await waitFor(() => expect(writes.at(-1)?.body).toMatchObject({ found: { first: 80 } }));
  });

  it('guides the look: what is seen gives the answer, and the person may decide otherwise', async () => {
    await show();
    const look = () => card(/^Take the element out, hold it to the light/);
    await act(() => fireEvent.click(look().getByRole('button', { name: 'No light comes through' })));
    expect(look().getByText('Replace it. The pores are full.')).toBeDefined();
    expect(look().queryByLabelText('Why otherwise')).toBeNull();
    fireEvent.mouseDown(look().getByLabelText('Decided'));
    await act(() => fireEvent.click(screen.getByRole('option', { name: 'Clean and refit' })));
    fireEvent.change(look().getByLabelText('Why otherwise'), { target: { value: 'None on the shelf' } });
    await waitFor(() =>
      expect(writes.at(-1)?.body).toMatchObject({
        found: { sight: 'dark', decided: 'cleanAndRefit', note: 'None on the shelf' },
      }),
    );
  });

  it('pours in the unit of the jug, warns of the pan and the container, and reads the dipstick', async () => {
    await show();
    // Lies on its side: half of 0.3 L goes into the filter; first pour 2 − 0.3 − 0.1 = 1.6 L: 5 − 0.15 − 1.6 = 3.25 L.
    expect(screen.getByText('Pour until the 5 L jug stands at 3.25 L.')).toBeDefined();
    // In the list of what to fetch, and at the step that drains.
    expect(screen.getAllByText(/must be emptied 2 times/)).toHaveLength(2);
    expect(screen.getAllByText(/has room for 1 L only/)).toHaveLength(2);
    fireEvent.mouseDown(screen.getByLabelText('Dipstick'));
    await act(() => fireEvent.click(screen.getByRole('option', { name: 'Above the full mark' })));
    expect(screen.getByText(/too much: it foams/)).toBeDefined();
  });

  it('starts the time of what passes by itself with the tick', async () => {
    await show();
    await act(() => fireEvent.click(card(/^Start the engine outside/).getByRole('button', { name: 'Done' })));
    await waitFor(() =>
      expect(screen.getByRole('timer', { name: 'Warming up' }).textContent).toMatch(/[56]:\d\d/),
    );
    expect(writes[0]?.body).toMatchObject({ isDone: true, timer: 'start' });
  });

  it('one step at a time opens where the work stands, and goes on with the tick', async () => {
    await show();
    await press('Step by step');
    expect(screen.getByText(/^Walk round/)).toBeDefined();
    await press('Done');
    await waitFor(() => expect(screen.queryByText(/^Walk round/)).toBeNull());
    await press('Back');
    expect(screen.getByText(/^Walk round/)).toBeDefined();
    expect(screen.getByRole('button', { name: 'Not done after all' })).toBeDefined();
  });

  it('is put aside with what it waits for', async () => {
    await show();
    await press('Put aside …');
    const dialog = await screen.findByRole('dialog');
    fireEvent.change(within(dialog).getByLabelText(/waits for/), { target: { value: 'The filter' } });
    await press('Put it aside');
    await waitFor(() =>
      expect(writes.at(-1)).toMatchObject({ url: '/api/jobs/j/pause', body: { reason: 'The filter' } }),
    );
  });
});

describe('what became of it', () => {
  // A short sheet: looking for a button by its role takes long among hundreds.
  beforeEach(() => {
    now = { ...now, setUp: { ...now.setUp, items: [ITEMS[0]] } };
  });

  it('cannot be signed off while nothing is said', async () => {
    await show();
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Sign off' }).disabled).toBe(true);
    expect(screen.getByText('Say first what became of the items.')).toBeDefined();
  });

  it('done proposes minutes and parts, which somebody may put right', async () => {
    await show();
    await press('Done: Engine oil and filter');
    await waitFor(() => expect(minutes().value).toBe(ofOil()));
    expect(screen.getByLabelText<HTMLInputElement>('Pieces of Oil change kit').value).toBe('1');
    expect(screen.getByText('2 items not settled: not done, due as before.')).toBeDefined();
    // Half an hour at 30.00 is 15.00, with the kit of 28.90: 43.90.
    fireEvent.change(minutes(), { target: { value: '30' } });
    await waitFor(() => expect(screen.getByText('£43.90')).toBeDefined());
    fireEvent.change(minutes(), { target: { value: '50' } });
    await press('Done: Air filter: look at');
    await waitFor(() =>
      expect(screen.getByText('1 item not settled: not done, due as before.')).toBeDefined(),
    );
    expect(minutes().value).toBe('50');
  });

  it('otherwise is asked for what it needs, and shows at its field what the server refuses', async () => {
    await show();
    await press('Otherwise: Air filter: look at');
    const dialog = await screen.findByRole('dialog');
    fireEvent.mouseDown(within(dialog).getByLabelText('What became of it'));
    await act(() => fireEvent.click(screen.getByRole('option', { name: 'Found defective' })));
    refusal = {
      type: 'about:blank',
      title: 't',
      status: 422,
      detail: 'd',
      errors: [{ pointer: '#/note', code: 'missing', detail: 'Say what is wrong.' }],
    };
    await press('Keep');
    expect(await screen.findByText('Say what is wrong.')).toBeDefined();
    refusal = null;
    fireEvent.change(within(dialog).getByLabelText('What is wrong'), { target: { value: 'Box cracked' } });
    await press('Keep');
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
    expect(writes.at(-1)?.body).toMatchObject({ outcome: 'defect', severity: 'soon', note: 'Box cracked' });
  });

  it('kept counts the hours of the meter that the item runs on', async () => {
    const due = dueLine({ itemId: 'air', limits: [hoursLimit({ meter: 'loader' })] });
    now = job({ items: job().items.map((each) => (each.itemId === 'air' ? { ...each, due } : each)) });
    await show();
    await press('Otherwise: Air filter: look at');
    const dialog = within(await screen.findByRole('dialog'));
    fireEvent.change(dialog.getByLabelText('Until the loader has'), { target: { value: '20' } });
    await press('Keep');
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
    expect(writes.at(-1)?.body).toMatchObject({ outcome: 'kept', untilLife: 20, untilMeter: 'loader' });
    const words = { ...item('air', 'kept'), untilLife: 20, note: '' };
    expect(outcomeWords({ ...words, untilMeter: 'loader' }, '2027-05-13')).toContain('until 20.0 loader h');
    expect(outcomeWords({ ...words, untilMeter: 'engine' }, '2027-05-13')).toContain('until 20.0 h');
  });

  it('asks for the hours on the meter, and does not take over what was read before', async () => {
    now = job();
    await show();
    await press('Done: Engine oil and filter');
    const hours = screen.getByLabelText<HTMLInputElement>('Hours on the meter');
    expect(hours.value).toBe('');
    expect(screen.getByText('Last read: 412.6 h; about 418.2 h expected now')).toBeDefined();
    await press('Sign off');
    await waitFor(() => expect(hours.getAttribute('aria-invalid')).toBe('true'));
    expect(writes.some(({ url }) => url.endsWith('/sign-off'))).toBe(false);
  });

  it('proposes the used oil of what was done, and none of what was not', async () => {
    now = job();
    await show();
    const oil = () => screen.getByLabelText<HTMLInputElement>('Used oil into the container, litres');
    expect(oil().value).toBe('0');
    await press('Done: Air filter: look at');
    await press('Done: Engine oil and filter');
    await waitFor(() => expect(oil().value).toBe('2'));
  });

  it('is signed off with what stands in the form, and keeps it when the server refuses', async () => {
    now = job({
      defects: [
        {
          id: DEFECT,
          machine: { id: 'm', tag: 'M-07', name: 'Lakeside' },
          foundOn: '2027-05-01',
          reportedBy: 'Dru',
          words: 'Seat torn',
          severity: 'watch',
          itemName: null,
          closedByJobId: null,
        },
      ],
    });
    await show();
    await press('Done: Engine oil and filter');
    await waitFor(() => expect(minutes().value).toBe(ofOil()));
    await act(() => fireEvent.click(screen.getByRole('checkbox', { name: /Seat torn/ })));
    refusal = {
      type: 'about:blank',
      title: 't',
      status: 422,
      detail: 'd',
      errors: [{ pointer: '#/shown', code: 'backwards', detail: 'Less than the 412.6 h read before.' }],
    };
    fireEvent.change(screen.getByLabelText('Hours on the meter'), { target: { value: '411,5' } });
    await press('Sign off');
    await screen.findByText('Less than the 412.6 h read before.');
    expect(screen.getByLabelText<HTMLInputElement>('Hours on the meter').value).toBe('411,5');
    const sent = writes.at(-1)?.body as SignOffDto;
    expect(sent).toMatchObject({
      doneOn: '2027-05-13',
      shown: 411.5,
      doneById: ANSEL,
      minutes: Number(ofOil()),
      version: 1,
    });
    expect(sent).toMatchObject({ usedOilLitres: 2, mendedDefectIds: [DEFECT] });
    expect(sent.draws).toEqual([{ articleId: KIT.articleId, quantity: 1 }]);
  });
});
