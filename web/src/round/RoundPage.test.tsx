import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import type { RoundDto, SessionDto } from '@yugator/contracts';
import { MemoryRouter } from 'react-router';
import { NoticeProvider } from '../page/Notice.js';
import { SessionContext } from '../session/useSession.js';
import { RoundPage } from './RoundPage.js';

const SESSION: SessionDto = {
  person: { id: 'p', name: 'Dru', role: 'operator', active: true, version: 1 },
  site: {
    name: 'Yard',
    timeZone: 'Europe/London',
    currency: 'GBP',
    demonstration: false,
    unitSystem: 'metric',
    dateOrder: 'dayFirst',
  },
  ownUnits: null,
  atShed: null,
  today: '2027-05-13',
};
const machine = (tag: string, shown: number): RoundDto['meters'][number] => ({
  key: tag,
  machineId: tag,
  meter: 'engine' as const,
  tag,
  name: `Mower ${tag}`,
  shed: 'North shed',
  hoursPerWeek: 9,
  expectedShown: shown + 4,
  mostLikelyLife: shown + 20,
  staleDays: null,
  segments: [{ startsAt: '2026-01-01T00:00:00Z', offset: 0 }],
  readings: [{ at: new Date(Date.now() - 72 * 3_600_000).toISOString(), shown, life: shown }],
});
const ROUND: RoundDto = { meters: [machine('A-1', 400), machine('A-2', 88)] };

type Answer = { status: number; body: unknown; problem?: boolean } | Error;
let answers: Answer[];
let sent: { body: unknown; key: string | undefined }[];

beforeEach(() => {
  sessionStorage.clear();
  answers = [];
  sent = [];
  globalThis.fetch = ((
    _url: string,
    init: { method: string; body?: string; headers: Record<string, string> },
  ) => {
    const answer: Answer =
      init.method === 'GET' ? { status: 200, body: ROUND } : (answers.shift() ?? new Error('no answer'));
    if (init.method !== 'GET')
      sent.push({ body: JSON.parse(init.body ?? 'null'), key: init.headers['idempotency-key'] });
    if (answer instanceof Error) return Promise.reject(answer);
    return Promise.resolve({
      ok: answer.status < 400,
      status: answer.status,
      headers: new Map([['content-type', answer.problem ? 'application/problem+json' : 'application/json']]),
      json: () => Promise.resolve(answer.body),
    });
  }) as unknown as typeof fetch;
});

function show(session = SESSION) {
  return render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <MemoryRouter>
        <NoticeProvider>
          <SessionContext.Provider value={session}>
            <RoundPage />
          </SessionContext.Provider>
        </NoticeProvider>
      </MemoryRouter>
    </QueryClientProvider>,
  );
}
const figure = (tag: string) => screen.findByLabelText<HTMLInputElement>(`Mower ${tag}`);
const type = async (tag: string, text: string) =>
  fireEvent.change(await figure(tag), { target: { value: text } });
const keep = () => fireEvent.click(screen.getByRole('button', { name: /^Keep/ }));

describe('the round', () => {
  it('checks each figure as it is typed', async () => {
    show();
    await type('A-1', '406,3');
    expect(screen.getByText('+6.3 h')).toBeDefined();
    await type('A-1', '399');
    expect(screen.getByText(/Runs backwards: 400.0 h was read before/)).toBeDefined();
    expect((await figure('A-1')).getAttribute('aria-invalid')).toBe('true');
    await type('A-1', '900');
    expect(screen.getByText(/Faster than the clock: up 500.0 h in 72.0 h/)).toBeDefined();
    await type('A-1', 'abc');
    expect(screen.getByText('Type hours such as 412.6.')).toBeDefined();
  });

  it('sends nothing while a figure cannot be, and goes to it', async () => {
    show();
    await type('A-1', '406');
    await type('A-2', '80');
    keep();
    expect(screen.getByRole('alert').textContent).toContain(
      '1 reading cannot be kept yet; nothing was saved',
    );
    expect(document.activeElement).toBe(await figure('A-2'));
    expect(sent).toEqual([]);
  });

  it('tells what is expected, and asks about more than is likely; another figure is another question', async () => {
    answers = [{ status: 201, body: { kept: 1 } }];
    show();
    expect(await screen.findByText('about 404.0 now')).toBeDefined();
    // At most 420 h are likely; 430 are possible in the three days since.
    await type('A-1', '430');
    keep();
    expect(screen.getByRole('alert').textContent).toContain('1 reading cannot be kept yet');
    fireEvent.click(screen.getByRole('button', { name: 'It is right: A-1' }));
    expect(screen.getByText('+30.0 h, confirmed')).toBeDefined();
    await type('A-1', '431');
    expect(screen.getByText(/more than it runs in 99 of 100 such times/)).toBeDefined();
    await type('A-1', '430');
    expect(sent).toEqual([]);
    keep();
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]?.body).toEqual({
      readings: [{ machineId: 'A-1', meter: 'engine', shown: 430, confirmed: true }],
    });
  });

  it('takes over pasted lines only once all can be read, into the round and no further', async () => {
    show();
    await figure('A-1');
    fireEvent.click(screen.getByRole('button', { name: 'Paste readings' }));
    const lines = await screen.findByLabelText('Lines');
    fireEvent.change(lines, { target: { value: 'A-1; 405\nA-9; 5' } });
    expect(screen.getByText('No meter of the fleet goes by "A-9".')).toBeDefined();
    fireEvent.click(screen.getByRole('button', { name: 'Take over 1 reading' }));
    expect(screen.getByText('1 line cannot be read; correct or take them out.')).toBeDefined();
    fireEvent.change(lines, { target: { value: 'A-1; 405\nA-2; 90' } });
    fireEvent.click(screen.getByRole('button', { name: 'Take over 2 readings' }));
    await waitFor(async () => expect((await figure('A-2')).value).toBe('90'));
    expect((await figure('A-1')).value).toBe('405');
    expect(sent).toEqual([]);
  });

  it('keeps a photo with the reading, and says when a file is none', async () => {
    answers = [{ status: 201, body: { kept: 1 } }];
    show();
    expect(screen.queryByRole('button', { name: 'Add a photo' })).toBeNull();
    await type('A-1', '406');
    const choose = (name: string) =>
      fireEvent.change(screen.getByLabelText('Photo of the meter: A-1 Mower A-1'), {
        target: { files: [new File(['x'], name)] },
      });
    globalThis.createImageBitmap = () => Promise.reject(new DOMException('no picture', 'InvalidStateError'));
    choose('notes.txt');
    expect(await screen.findByText(/notes.txt is no picture/)).toBeDefined();
    globalThis.createImageBitmap = () => Promise.resolve({ width: 4, height: 3, close: () => undefined });
    HTMLCanvasElement.prototype.getContext = () => null;
    HTMLCanvasElement.prototype.toDataURL = () => 'data:image/jpeg;base64,/9j/AA==';
    choose('meter.jpg');
    expect(await screen.findByAltText('Photo of the meter: A-1 Mower A-1')).toBeDefined();
    keep();
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]?.body).toEqual({
      readings: [{ machineId: 'A-1', meter: 'engine', shown: 406, photo: '/9j/AA==' }],
    });
  });

  it('moves on with Enter and the arrows', async () => {
    show();
    (await figure('A-1')).focus();
    fireEvent.keyDown(await figure('A-1'), { key: 'Enter' });
    expect(document.activeElement).toBe(await figure('A-2'));
    fireEvent.keyDown(await figure('A-2'), { key: 'ArrowUp' });
    expect(document.activeElement).toBe(await figure('A-1'));
  });

  it('keeps what was typed when the server is away, and repeats it under the same key', async () => {
    show();
    await type('A-1', '406');
    answers = [new TypeError('offline'), { status: 201, body: { kept: 1 } }];
    keep();
    await waitFor(() => expect(screen.getByRole('alert').textContent).toContain('cannot be reached'));
    expect((await figure('A-1')).value).toBe('406');
    keep();
    await waitFor(async () => expect((await figure('A-1')).value).toBe(''));
    expect(sent).toHaveLength(2);
    expect(sent[0]).toEqual(sent[1]);
    expect(sent[0]?.key).toMatch(/^[0-9a-f]{32}$/);
  });

  it('shows whose reading the server refused, and keeps the figures', async () => {
    show();
    await type('A-1', '406');
    await type('A-2', '90');
    const errors = [
      { pointer: '#/readings/1/shown', code: 'backwards', detail: 'Less than the 95 h read before.' },
    ];
    answers = [{ status: 422, problem: true, body: { status: 422, title: 't', detail: 'd', errors } }];
    keep();
    await waitFor(() =>
      expect(screen.getByRole('alert').textContent).toContain('A-2: Less than the 95 h read before.'),
    );
    expect((await figure('A-1')).value).toBe('406');
  });

  it('finds what was typed again after the page was reloaded', async () => {
    const { unmount } = show();
    await type('A-1', '406');
    unmount();
    show();
    expect((await figure('A-1')).value).toBe('406');
  });

  it('lets a viewer look only', async () => {
    show({ ...SESSION, person: { ...SESSION.person, role: 'viewer' } });
    expect((await figure('A-1')).closest('fieldset')?.disabled).toBe(true);
    expect(screen.queryByRole('button')).toBeNull();
  });
});
