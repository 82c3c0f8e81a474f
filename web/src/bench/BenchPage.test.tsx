import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, fireEvent, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter, Route, Routes, useLocation } from 'react-router';
import { SessionContext } from '../session/useSession.js';
import type { UnitSystem } from '@yugator/core';
import { SITE } from '../testing/fixtures.js';
import { press, type as typeAs } from '../testing/user.js';
import { BenchPage } from './BenchPage.js';

function Address() {
  return <p data-testid="address">{useLocation().search}</p>;
}

function show(at: string, unitSystem: UnitSystem = 'metric') {
  const person = { id: 'p', name: 'Ansel', role: 'viewer' as const, active: true, version: 1 };
  globalThis.fetch = (() =>
    Promise.resolve({
      ok: true,
      status: 200,
      headers: new Map([['content-type', 'application/json']]),
      json: () => Promise.resolve([]),
    })) as unknown as typeof fetch;
  render(
    <QueryClientProvider client={new QueryClient()}>
      <SessionContext.Provider
        value={{ person, site: { ...SITE, unitSystem }, ownUnits: null, atShed: null, today: '2027-05-13' }}
      >
        <MemoryRouter initialEntries={[at]}>
          <Routes>
            <Route path="/bench/:tool?" element={<BenchPage />} />
          </Routes>
          <Address />
        </MemoryRouter>
      </SessionContext.Provider>
    </QueryClientProvider>,
  );
}
const type = (label: string | RegExp, text: string) =>
  act(() => fireEvent.change(screen.getByLabelText(label), { target: { value: text } }));

describe('the bench', () => {
  it('reads its figures from the address, and writes them there', async () => {
    // 2.1 qt and 1.9 qt: the filter takes 0.2; first pour 2.1 − 0.2 − 0.105 = 1.795 qt: 5 − 1.795 = 3.205 qt.
    show('/bench/fill?with=2.1+qt&without=1.9+qt&jug=5+qt');
    expect(
      screen.getByText('Pour until the 5 qt jug stands at 3.5 qt, then measure out 9 fl oz more.'),
    ).toBeDefined();
    await type('Capacity with the filter', '3 qt');
    expect(screen.getByTestId('address').textContent).toContain('with=3+qt');
  });

  it('says so where a figure is none, and goes on with the next', async () => {
    show('/bench/fill');
    await type('Capacity with the filter', 'much');
    expect(screen.getByText(/Type a figure/)).toBeDefined();
    expect(screen.queryByText(/Pour until/)).toBeNull();
  });

  it.each([
    // 5.7 L by an extractor of 2 L are three loads.
    ['/bench/drain?out=5.7&holds=2&room=40', /must be emptied 3 times/],
    // Handbook table: 12.2 V about half charged.
    ['/bench/battery?rest=12.2', /About 50 % charged: recharge/],
    // 24 × 20 × 6 = 2880 strokes of 1.3 g = 3744 g: ten cartridges of 400 g.
    ['/bench/grease', /2880 strokes, 3744 g: 10 cartridges/],
    ['/bench/play?left=44&right=36', /Left 4 mm too much, right within its range/],
    // A fan belt of 7-9 mm (common practice) has one side.
    ['/bench/play?low=7&high=9&left=11&right=', /^✗ 2 mm too much/],
    ['/bench/deck?left=76&right=80', /4 mm out side to side/],
    // By the book's own figures: 2 mm side to side, within 1 mm wanted.
    ['/bench/deck?left=76&right=78&within=1', /2 mm out side to side/],
    // 0.2 × (1361.2 − 310) = 210.24 h.
    ['/bench/loader', /210.2 h of its own/],
    // SAE J300: 10W cranks down to −25 °C.
    ['/bench/viscosity?low=-22&high=10', /SAE J300/],
    ['/bench/nothing', /no such calculator/],
  ])('%s', (at, words) => {
    show(at);
    expect(screen.getByText(words)).toBeDefined();
  });

  it('sets the units of the trade beside each other', () => {
    // NIST SP 811 appendix B.8: 15 lbf·ft = 20.337 N·m; 30 psi = 206.843 kPa.
    show('/bench/units');
    expect(screen.getByText('20.337')).toBeDefined();
    expect(screen.getByText('206.843')).toBeDefined();
  });

  it('searches why a machine does not start, question by question, down to a new battery', async () => {
    show('/bench/no-start');
    expect(screen.queryByLabelText('At rest, V')).toBeNull();
    await userEvent.click(screen.getByRole('radio', { name: 'Nothing at all' }));
    await typeAs('At rest, V', '11.8');
    await typeAs('After the charge, V', '12.6');
    await typeAs('Under load, V', '9.2');
    expect(screen.getByRole('status')).toBeEmptyDOMElement();
    await typeAs('Battery, °C', '70 F');
    // At 70 °F the table asks 9.6 V.
    expect(screen.getByText(/At 21.°C it must stand at 9.6 V or more/)).toBeVisible();
    expect(screen.getByRole('status')).toHaveTextContent('A new battery');
    expect(screen.getByTestId('address')).toHaveTextContent('load=9.2');
    await press('Begin again');
    expect(screen.getByTestId('address')).toBeEmptyDOMElement();
    expect(screen.queryByLabelText('At rest, V')).toBeNull();
  });

  it('goes on without a load test where nothing cranks and there is no tester', async () => {
    show('/bench/no-start?turns=nothing&rest=12.6');
    expect(screen.queryByText(/crank for/)).toBeNull();
    await userEvent.click(screen.getByRole('radio', { name: 'There is none: go on without' }));
    expect(screen.queryByLabelText('Under load, V')).toBeNull();
    await userEvent.click(screen.getByRole('radio', { name: 'Loose, green or white' }));
    expect(screen.getByRole('status')).toHaveTextContent('Clean the terminals and the earth');
  });

  it('takes an address that says what nobody offered for no answer', () => {
    show('/bench/no-start?turns=explodes&rest=lots');
    expect(screen.getAllByRole('radio').every((each) => !(each as HTMLInputElement).checked)).toBe(true);
    expect(screen.getByRole('status')).toBeEmptyDOMElement();
  });

  it('reads a bare figure in the units of whoever passed the address on', async () => {
    // 5.7 L against pans of 2 L: three loads; the same figures in quarts too, but so much less oil.
    show('/bench/drain?out=6&holds=2&room=8&units=metric', 'us');
    expect(screen.getByText(/must be emptied 3 times/)).toBeVisible();
    await typeAs('Comes out', '3.9');
    expect(screen.getByTestId('address')).toHaveTextContent('out=3.9&holds=2&room=8&units=metric');
  });

  it('takes and shows °F for people who think in it, and °C where the address says so', () => {
    // SAE J300: 10W cranks down to −25 °C, which is −13 °F.
    show('/bench/viscosity?low=-10&high=50', 'us');
    expect(screen.getByLabelText('Coldest expected, °F')).toHaveValue('-10');
    expect(screen.getAllByText('-13 °F').length).toBeGreaterThan(0);
  });
});
