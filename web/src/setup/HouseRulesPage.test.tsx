import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import type { Role, WorkshopDto } from '@yugator/contracts';
import { DEFAULT_RULES, HOUSE_RULES, REFUSED_PRACTICES } from '@yugator/core';
import { NoticeProvider } from '../page/Notice.js';
import { SessionContext } from '../session/useSession.js';
import { SITE } from '../testing/fixtures.js';
import { HouseRulesPage } from './HouseRulesPage.js';

const WORKSHOP: WorkshopDto = {
  rules: DEFAULT_RULES,
  panLitres: 8,
  extractorLitres: 6,
  usedOilLitres: 60,
  version: 3,
};
let sent: unknown[];
let refusal: object | null;
beforeEach(() => {
  sent = [];
  refusal = null;
  globalThis.fetch = ((_url: string, init: { method: string; body?: string }) => {
    if (init.method === 'PUT') sent.push(JSON.parse(init.body ?? 'null'));
    const refused = init.method === 'PUT' && refusal !== null;
    return Promise.resolve({
      ...{ ok: !refused, status: refused ? 422 : 200 },
      headers: new Map([['content-type', refused ? 'application/problem+json' : 'application/json']]),
      json: () => Promise.resolve(refused ? refusal : WORKSHOP),
    });
  }) as unknown as typeof fetch;
});

async function show(role: Role = 'crewLead') {
  const person = { id: 'p', name: 'Marit', role, active: true, version: 1 };
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <NoticeProvider>
        <SessionContext.Provider value={{ person, site: SITE, ownUnits: null, today: '2027-05-13' }}>
          <HouseRulesPage />
        </SessionContext.Provider>
      </NoticeProvider>
    </QueryClientProvider>,
  );
  await screen.findByText('What the shop drains into');
}

describe('the house rules', () => {
  it('stand side by side with why each is held, and what is not offered with its reason', async () => {
    await show();
    for (const { question, options } of HOUSE_RULES) {
      const group = within(screen.getByRole('radiogroup', { name: question }));
      expect(group.getAllByRole('radio')).toHaveLength(options.length);
      for (const { why } of options) expect(group.getByText(why)).toBeDefined();
    }
    for (const { practice } of REFUSED_PRACTICES) expect(screen.getByText(`${practice}.`)).toBeDefined();
  });

  it('are chosen and kept together with the vessels, and a refusal keeps what was typed', async () => {
    await show();
    act(() => fireEvent.click(screen.getByRole('radio', { name: 'Hand-tight' })));
    fireEvent.change(screen.getByLabelText('Drain pan, litres'), { target: { value: '10,5' } });
    refusal = {
      ...{ type: 'about:blank', title: 't', status: 422, detail: 'd' },
      errors: [{ pointer: '#/panLitres', code: 'x', detail: 'Keep the drain pan within 200 L.' }],
    };
    act(() => fireEvent.click(screen.getByRole('button', { name: 'Keep the house rules' })));
    expect(await screen.findByText('Keep the drain pan within 200 L.')).toBeDefined();
    expect(screen.getByLabelText<HTMLInputElement>('Drain pan, litres').value).toBe('10,5');
    refusal = null;
    act(() => fireEvent.click(screen.getByRole('button', { name: 'Keep the house rules' })));
    await waitFor(() => expect(sent).toHaveLength(2));
    expect(sent[1]).toMatchObject({
      rules: { ...DEFAULT_RULES, filterTightness: 'hand' },
      panLitres: 10.5,
      version: 3,
    });
  });

  it('are only looked at by others', async () => {
    await show('mechanic');
    expect(screen.queryByRole('button', { name: 'Keep the house rules' })).toBeNull();
    expect(screen.getByRole<HTMLInputElement>('radio', { name: 'Hand-tight' }).disabled).toBe(true);
  });
});
