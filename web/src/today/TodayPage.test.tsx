import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import type { DueLineDto, Role, TodayDto, TodayMachineDto } from '@yugator/contracts';
import { MemoryRouter } from 'react-router';
import { NoticeProvider } from '../page/Notice.js';
import { SessionContext } from '../session/useSession.js';
import { dueLine, hoursLimit, SITE } from '../testing/fixtures.js';
import { defect } from '../testing/records.js';
import { TodayPage } from './TodayPage.js';

const oil = (state: DueLineDto['state'], left: number): DueLineDto =>
  dueLine({
    state,
    expectedOn: '2027-05-20',
    baseline: { kind: 'completion', on: '2027-04-12', life: 212.4 },
    limits: [hoursLimit({ left, expectedOn: '2027-05-20' })],
  });
const unknown: DueLineDto = {
  ...oil('noRecord', 0),
  itemName: 'Battery',
  baseline: { kind: 'noRecord', on: null, life: null },
  limits: [],
};
const machine = (tag: string, lines: DueLineDto[], openJobId: string | null = null): TodayMachineDto => ({
  id: tag,
  tag,
  name: `Mower ${tag}`,
  state: lines[0]?.state ?? 'fine',
  hoursPerWeek: 9,
  life: 268.6,
  lines,
  openJobId,
  fine: 3,
  isOutOfService: false,
});
const TODAY: TodayDto = {
  today: '2027-05-13',
  machines: [
    machine('A', [oil('overdue', -6.2)]),
    machine('B', [oil('overdue', -1)], 'job-1'),
    machine('C', [unknown]),
    machine('D', [oil('ripe', 3)]),
    machine('E', [oil('coming', 12)]),
    machine('F', [oil('fine', 48)]),
  ],
  more: 0,
  visits: [],
  rounds: [],
  moreRounds: 0,
  own: [],
  reported: [],
  thirsty: [],
  counts: { machines: 6, overdue: 2, noRecord: 1, ripe: 1, coming: 1 },
  stale: [{ id: 'E', meter: 'engine', tag: 'E', name: 'Mower E', days: 11, life: 268.6 }],
  defects: [],
  short: [{ id: 'k', name: 'Oil change kit', unit: 'piece', onHand: 1, leastOnHand: 3 }],
};

function answering(...answers: (object | Error)[]): void {
  globalThis.fetch = (() => {
    const answer = answers.length > 1 ? answers.shift() : answers[0];
    if (answer instanceof Error) return Promise.reject(answer);
    const headers = new Map([['content-type', 'application/json']]);
    return Promise.resolve({ ok: true, status: 200, headers, json: () => Promise.resolve(answer) });
  }) as unknown as typeof fetch;
}

function show(role: Role = 'crewLead') {
  const person = { id: 'p', name: 'Marit', role, active: true, version: 1 };
  const site = SITE;
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <MemoryRouter>
        <NoticeProvider>
          <SessionContext.Provider
            value={{ person, site, ownUnits: null, atShed: null, today: '2027-05-13' }}
          >
            <TodayPage />
          </SessionContext.Provider>
        </NoticeProvider>
      </MemoryRouter>
    </QueryClientProvider>,
  );
}

describe('Today', () => {
  it('tells the news in words, and each machine with its reason, worst first', async () => {
    answering(TODAY);
    show();
    expect((await screen.findByRole('heading', { level: 1 })).textContent).toBe(
      'Thursday 13 May. Two machines are overdue.',
    );
    expect(
      screen.getByText(
        '1 machine ripe for service; 1 machine with items nobody has on record; 1 meter not read in time.',
      ),
    ).toBeDefined();
    expect(screen.getAllByRole('listitem')[0]).toHaveTextContent(
      'Engine oil and filter: 6.2 h over 50 h, last done 12 Apr at 212.4 h',
    );
    const groups = screen.getAllByRole('region').map((region) => region.getAttribute('aria-label'));
    expect(groups).toEqual([
      ...[
        'Overdue: see to these before they go out',
        'Nobody knows when it was last done',
        'Ripe for service',
      ],
      ...['Coming within 30 days', 'Fine'],
    ]);
  });

  it.each<[Role, string[]]>([
    [
      'mechanic',
      [
        'Open job: A Mower A',
        'Go on with job: B Mower B',
        'Say when: C Mower C',
        'Open job: D Mower D',
        'Read meter: E Mower E',
      ],
    ],
    [
      'viewer',
      ['Look: A Mower A', 'Look: B Mower B', 'Look: C Mower C', 'Look: D Mower D', 'Look: E Mower E'],
    ],
  ])('offers a %s one next act for each machine', async (role, acts) => {
    answering(TODAY);
    show(role);
    const rows = await screen.findAllByRole('listitem');
    const offered = rows.map((row) => within(row).getAllByRole('link').at(-1)?.getAttribute('aria-label'));
    expect(offered).toEqual(acts);
  });

  it.each([
    ['operator', 'Walk round A Mower A'],
    ['viewer', null],
  ] as const)('names the machines where walk-rounds wait, for a %s', async (role, act) => {
    const waiting = { id: 'A', tag: 'A', name: 'Mower A', life: 268.6 };
    const lineNamed = (itemName: string) => ({ itemId: itemName, itemName, state: 'overdue' as const });
    answering({
      ...TODAY,
      rounds: [
        { ...waiting, lines: ['Dust valve', 'Screen', 'Tyres'].map(lineNamed) },
        { ...waiting, id: 'B', tag: 'B', lines: [lineNamed('Dust valve')] },
      ],
    });
    show(role);
    const section = within(await screen.findByRole('region', { name: 'Walk-rounds that wait' }));
    expect(section.getByText('3 checks wait')).toBeVisible();
    expect(section.getByText('1 check waits')).toBeVisible();
    const link = section.queryByRole('link', { name: 'Walk round A Mower A' });
    expect(link?.getAttribute('aria-label') ?? null).toBe(act);
    if (act) expect(link).toHaveAttribute('href', '/fleet/A/walk');
    expect(screen.getByText(/2 walk-rounds wait/)).toBeVisible();
  });

  it('begins for an operator with their machines, and what became of what they reported', async () => {
    const mended = { how: 'mended', on: '2027-05-12', by: 'Ansel', words: 'New belt' } as const;
    answering({
      ...TODAY,
      own: ['F', 'A'],
      reported: [
        defect({ words: 'Belt frayed', ended: mended }),
        defect({ id: 'e', words: 'Seat torn' }),
        defect({ id: 'f', words: 'Latch bent', plannedOn: '2027-05-18' }),
      ],
    });
    show('operator');
    const own = within(await screen.findByRole('region', { name: 'Your machines' }));
    expect(
      own.getAllByRole('link', { name: /^Walk round/ }).map((link) => link.getAttribute('href')),
    ).toEqual(['/fleet/F/walk', '/fleet/A/walk']);
    const reported = within(screen.getByRole('region', { name: 'What you reported' }));
    expect(reported.getByText(/mended 12 May by Ansel: New belt/)).toBeVisible();
    expect(reported.getByText(/open: mend it soon/)).toBeVisible();
    expect(reported.getByText(/in the workshop 18 May/)).toBeVisible();
    // Each machine stands once.
    expect(screen.getAllByText('Mower A')).toHaveLength(1);
  });

  it('names machines that begin to drink', async () => {
    const thirsty = { component: 'engineOil', thirst: 'moreThanCard', latest: 2, usual: null, allowed: 0.5 };
    answering({ ...TODAY, thirsty: [{ id: 'A', tag: 'A', name: 'Mower A', ...thirsty }] });
    show();
    expect(await screen.findByRole('heading', { name: 'Begins to drink' })).toBeVisible();
    expect(screen.getByText('more than its card allows')).toBeVisible();
  });

  it('names stale meters and what is low beside the list', async () => {
    answering(TODAY);
    show();
    expect(await screen.findByText('11 days')).toBeDefined();
    expect(screen.getByText('1 on hand, 3 wanted')).toBeDefined();
  });

  it('shows the way to the first machine of an empty fleet, to whoever may go it', async () => {
    answering({ ...TODAY, machines: [], stale: [], short: [] });
    show('crewLead');
    expect(
      (await screen.findByRole('link', { name: 'Register the first machine' })).getAttribute('href'),
    ).toBe('/fleet/new');
  });

  it('says what is wrong when it cannot be loaded, and tries again when asked', async () => {
    answering(new TypeError('offline'), TODAY);
    show();
    expect(screen.getByRole('status', { name: 'Loading' })).toBeDefined();
    fireEvent.click(await screen.findByRole('button', { name: 'Try again' }));
    await waitFor(() => expect(screen.getByText(/Two machines are overdue/)).toBeDefined());
  });
});
