import { screen, waitFor } from '@testing-library/react';
import { Route, Routes } from 'react-router';
import { machineDetail } from '../testing/machines.js';
import { press } from '../testing/user.js';
import { showTo, wire } from '../testing/wire.js';
import { NoStartTool } from './NoStartTool.js';

const FOUND = 'turns=slow&rest=11.9&charged=12.1&fuse=blown';
const answers = { turns: 'slow', rest: 11.9, charged: 12.1 };

const show = (about: string, role: 'operator' | 'viewer' = 'operator') =>
  showTo(
    role,
    <Routes>
      <Route path="/bench/no-start" element={<NoStartTool />} />
      <Route path="/fleet/m" element={<p>The machine</p>} />
    </Routes>,
    {},
    `/bench/no-start?${about}${FOUND}`,
  );

describe('what a search found', () => {
  it('is reported as a defect of the machine that it was opened from, and leads back there', async () => {
    const { sent } = wire(() => machineDetail());
    show('machine=m&');
    await screen.findByRole('button', { name: /Report it as a defect of/ });
    await press(/Report it as a defect of/);
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toEqual({
      method: 'POST',
      path: '/api/machines/m/defects',
      body: { words: 'Does not start: a new battery', severity: 'soon', search: answers },
    });
    expect(await screen.findByText('The machine')).toBeVisible();
  });

  it('is kept with the defect that it was opened from', async () => {
    const { sent } = wire(() => machineDetail());
    show('machine=m&defect=d&');
    await screen.findByRole('button', { name: /Keep it with the defect of/ });
    await press(/Keep it with the defect of/);
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toMatchObject({ path: '/api/defects/d/searches', body: { answers } });
  });

  it('that is refused stays, and says why', async () => {
    const server = wire(() => machineDetail());
    server.refuse({ type: 'about:blank', title: 'Mended', status: 409, detail: 'It was mended meanwhile.' });
    show('machine=m&defect=d&');
    await screen.findByRole('button', { name: /Keep it with the defect of/ });
    await press(/Keep it with the defect of/);
    expect(await screen.findByText('It was mended meanwhile.')).toBeVisible();
    expect(screen.getByRole('status')).toHaveTextContent('A new battery');
  });

  it('is kept nowhere by a viewer, nor where it is known of no machine', () => {
    wire(() => machineDetail());
    const { unmount } = show('machine=m&', 'viewer');
    expect(screen.queryByRole('button', { name: /defect/ })).toBeNull();
    unmount();
    show('');
    expect(screen.queryByRole('button', { name: /defect/ })).toBeNull();
    expect(screen.getByRole('link', { name: 'its page' })).toHaveAttribute('href', '/fleet');
  });
});
