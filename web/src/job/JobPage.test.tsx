import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import type { JobDto } from '@yugator/contracts';
import { sheetSteps } from '@yugator/core';
import { card, JobShop, press } from '../testing/jobShop.js';

let shop: JobShop;
beforeEach(() => {
  shop = new JobShop();
});

describe('the sheet of a job', () => {
  it('says how long it takes, what to fetch and what is short, and holds every step', async () => {
    await shop.show();
    expect(screen.getByText(/min alone/)).toBeDefined();
    expect(screen.getByText('1 × Oil change kit (only 0 on hand)')).toBeDefined();
    const shown = document.body.textContent;
    for (const { text, phase } of sheetSteps(shop.now.setUp)) {
      if (phase !== 'signOff') expect(shown).toContain(text);
    }
  });

  it('holds a step that can maim until its caution was read', async () => {
    await shop.show();
    const tips = () => card(/^Measure both tips/);
    expect(tips().getByRole<HTMLButtonElement>('button', { name: 'Read it first' }).disabled).toBe(true);
    await act(() => fireEvent.click(tips().getByRole('checkbox')));
    await waitFor(() => expect(tips().getByRole('button', { name: 'Done' })).toBeDefined());
    // What is not said stays as it is, whoever said it.
    expect(shop.writes).toEqual([
      { url: '/api/jobs/j/steps/blades.tips', body: { isAcknowledged: true, version: 0 } },
    ]);
  });

  it('stays open once its caution was read: no tap is lost while the answer comes', async () => {
    await shop.show();
    const tips = () => card(/^Measure both tips/);
    const atOnce = globalThis.fetch;
    let release: () => void = () => undefined;
    globalThis.fetch = (async (url: string, init: RequestInit) => {
      const answer = await atOnce(url, init);
      if (init.method !== 'GET')
        await new Promise<void>((resolve) => {
          release = resolve;
        });
      return answer;
    }) as typeof fetch;
    await act(() => fireEvent.click(tips().getByRole('checkbox')));
    expect(tips().getByRole('button', { name: 'Done' })).toBeEnabled();
    let closedAgain = false;
    const watcher = new MutationObserver(() => {
      closedAgain ||= tips().queryByRole('button', { name: 'Read it first' }) !== null;
    });
    watcher.observe(document.body, { subtree: true, childList: true, attributes: true, characterData: true });
    const said = () => shop.client.getQueryData<JobDto>(['jobs', 'j'])?.steps ?? [];
    release();
    await waitFor(() => expect(said()).toMatchObject([{ isAcknowledged: true, version: 1 }]));
    await act(() => shop.client.invalidateQueries());
    watcher.disconnect();
    expect(closedAgain).toBe(false);
    expect(tips().getByRole('button', { name: 'Done' })).toBeEnabled();
  });

  it('judges what is measured as it is typed, and keeps it with the tick', async () => {
    await shop.show();
    const tips = () => card(/^Measure both tips/);
    fireEvent.change(tips().getByLabelText('First tip (mm)'), { target: { value: '80' } });
    fireEvent.change(tips().getByLabelText('Second tip (mm)'), { target: { value: '3 1/4 in' } });
    // 3 1/4 in are 82.55 mm: 2.55 apart.
    expect(tips().getByText(/Straight/)).toBeDefined();
    fireEvent.change(tips().getByLabelText('Second tip (mm)'), { target: { value: '85' } });
    expect(tips().getByText(/Bent/)).toBeDefined();
    await act(() => fireEvent.click(tips().getByRole('checkbox')));
    await waitFor(() => expect(shop.writes.length).toBeGreaterThan(0));
    expect(shop.writes.at(-1)?.body).toMatchObject({ found: { first: 80, second: 85 } });
  });

  it('does not write over what somebody else typed after what was typed here was kept', async () => {
    await shop.show();
    const tips = () => card(/^Measure both tips/);
    fireEvent.change(tips().getByLabelText('First tip (mm)'), { target: { value: '80' } });
    await waitFor(() => expect(shop.writes.at(-1)?.body).toMatchObject({ found: { first: 80 } }));
    // Somebody else puts the figure right.
    const [mine] = shop.now.steps;
    if (!mine) throw new Error('The step was not kept.');
    shop.now = {
      ...shop.now,
      steps: [{ ...mine, found: { first: 91 }, by: 'Marit', version: mine.version + 1 }],
    };
    await act(() => shop.client.invalidateQueries());
    await waitFor(() => expect(tips().getByLabelText<HTMLInputElement>('First tip (mm)').value).toBe('91'));
    await act(() => fireEvent.click(tips().getByRole('checkbox')));
    await waitFor(() => expect(shop.writes.at(-1)?.body).toEqual({ isAcknowledged: true, version: 2 }));
  });

  it('keeps what was typed when the step is left before it was kept', async () => {
    const { unmount } = await shop.show();
    fireEvent.change(card(/^Measure both tips/).getByLabelText('First tip (mm)'), {
      target: { value: '80' },
    });
    unmount();
    await waitFor(() => expect(shop.writes.at(-1)?.body).toMatchObject({ found: { first: 80 } }));
  });

  it('guides the look: what is seen gives the answer, and the person may decide otherwise', async () => {
    await shop.show();
    const look = () => card(/^Take the element out, hold it to the light/);
    await act(() => fireEvent.click(look().getByRole('button', { name: 'No light comes through' })));
    expect(look().getByText('Replace it. The pores are full.')).toBeDefined();
    expect(look().queryByLabelText('Why otherwise')).toBeNull();
    fireEvent.mouseDown(look().getByLabelText('Decided'));
    await act(() => fireEvent.click(screen.getByRole('option', { name: 'Clean and refit' })));
    fireEvent.change(look().getByLabelText('Why otherwise'), { target: { value: 'None on the shelf' } });
    await waitFor(() =>
      expect(shop.writes.at(-1)?.body).toMatchObject({
        found: { sight: 'dark', decided: 'cleanAndRefit', note: 'None on the shelf' },
      }),
    );
  });

  it('pours in the unit of the jug, warns of the pan and the container, and reads the dipstick', async () => {
    await shop.show();
    // Lies on its side: half of 0.3 L goes into the filter; first pour 2 − 0.3 − 0.1 = 1.6 L: 5 − 0.15 − 1.6 = 3.25 L.
    expect(
      screen.getByText('Pour until the 5 L jug stands at 3.5 L, then measure out 250 mL more.'),
    ).toBeDefined();
    // In the list of what to fetch, and at the step that drains.
    expect(screen.getAllByText(/must be emptied 2 times/)).toHaveLength(2);
    expect(screen.getAllByText(/has room for 1 L only/)).toHaveLength(2);
    fireEvent.mouseDown(screen.getByLabelText('Dipstick'));
    await act(() => fireEvent.click(screen.getByRole('option', { name: 'Above the full mark' })));
    expect(screen.getByText(/too much: it foams/)).toBeDefined();
  });

  it('asks what is poured, offers what the card approves, and keeps it for the label', async () => {
    const { spec } = shop.now.setUp;
    const grades = [{ grade: '10W-30', category: 'API SJ', fromCelsius: null, toCelsius: null }];
    const fluids = spec.fluids.map((fluid) => ({ ...fluid, grades }));
    shop.now = { ...shop.now, setUp: { ...shop.now.setUp, spec: { ...spec, fluids } } };
    await shop.show();
    const field = screen.getByLabelText('What goes in');
    expect(field).toHaveAccessibleDescription(/printed on the label/);
    const offered = document.getElementById(field.getAttribute('list') ?? '');
    expect([...(offered?.children ?? [])].map((each) => each.getAttribute('value'))).toEqual([
      '10W-30 (API SJ)',
    ]);
    fireEvent.change(field, { target: { value: 'Oil of the shed, 10W-30' } });
    await waitFor(() =>
      expect(shop.writes.at(-1)).toMatchObject({
        url: '/api/jobs/j/steps/engineOil.pour',
        body: { found: { poured: 'Oil of the shed, 10W-30' }, version: 0 },
      }),
    );
    fireEvent.change(field, { target: { value: ' ' } });
    await waitFor(() =>
      expect(shop.writes.at(-1)?.body).toMatchObject({
        found: expect.not.objectContaining({ poured: expect.anything() }),
      }),
    );
  });

  it('goes on from what a tick changed, and keeps all else of the page', async () => {
    await shop.show();
    // The server finds that this tick settles the oil.
    const items = shop.now.items.map((each) =>
      each.itemId === 'oil' ? { ...each, outcome: 'done' as const, version: 2 } : each,
    );
    shop.now = { ...shop.now, items };
    expect(screen.getByText(/0 of 3 items settled/)).toBeInTheDocument();
    await act(() => fireEvent.click(card(/^Walk round/).getByRole('button', { name: 'Done' })));
    expect(await screen.findByText(/1 of 3 items settled/)).toBeInTheDocument();
    expect(screen.getByText('1 × Oil change kit (only 0 on hand)')).toBeInTheDocument();
    expect(screen.getByRole('heading', { name: /Lakeside/ })).toBeInTheDocument();
  });

  it('starts the time of what passes by itself with the tick', async () => {
    await shop.show();
    await act(() => fireEvent.click(card(/^Start the engine outside/).getByRole('button', { name: 'Done' })));
    await waitFor(() =>
      expect(screen.getByRole('timer', { name: 'Warming up' }).textContent).toMatch(/[56]:\d\d/),
    );
    expect(shop.writes[0]?.body).toMatchObject({ isDone: true, timer: 'start' });
  });

  it('one step at a time opens where the work stands, and goes on with the tick', async () => {
    await shop.show();
    await press('Step by step');
    expect(screen.getByText(/^Walk round/)).toBeDefined();
    await press('Done');
    await waitFor(() => expect(screen.queryByText(/^Walk round/)).toBeNull());
    await press('Back');
    expect(screen.getByText(/^Walk round/)).toBeDefined();
    expect(screen.getByRole('button', { name: 'Not done after all' })).toBeDefined();
  });

  it('is put aside with what it waits for', async () => {
    await shop.show();
    await press('Put aside …');
    const dialog = await screen.findByRole('dialog');
    fireEvent.change(within(dialog).getByLabelText(/waits for/), { target: { value: 'The filter' } });
    await press('Put it aside');
    await waitFor(() =>
      expect(shop.writes.at(-1)).toMatchObject({ url: '/api/jobs/j/pause', body: { reason: 'The filter' } }),
    );
  });
});
