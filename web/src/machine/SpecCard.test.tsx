import { screen, waitFor } from '@testing-library/react';
import { machineDetail } from '../testing/machines.js';
import { choose, pickComponent, press, type } from '../testing/user.js';
import { showTo, wire } from '../testing/wire.js';
import type { Wire } from '../testing/wire.js';
import { SpecCard } from './SpecCard.js';

let server: Wire;
beforeEach(() => {
  server = wire({}, () => machineDetail());
});

/** Opens the card to be typed: what is typed into comes after what is read. */
async function edit(): Promise<void> {
  await press('Change the card');
  await screen.findByRole('button', { name: 'Save the card' });
}

describe('the spec card', () => {
  it('has house rules of its own, which the crew lead alone chooses', async () => {
    const spec = {
      ...machineDetail().spec,
      ways: [{ way: 'drain.extractor', why: 'the plug is worn' } as const],
    };
    const { unmount } = showTo('mechanic', <SpecCard machine={machineDetail({ spec })} />);
    expect(screen.getByText('How does the oil come out? Extractor only')).toBeVisible();
    await edit();
    expect(screen.queryByRole('group', { name: 'House rules of its own' })).toBeNull();
    await press('Save the card');
    await waitFor(() => expect(server.sent).toHaveLength(1));
    expect(server.sent[0]?.body).toMatchObject({ spec: { ways: spec.ways } });
    unmount();
    showTo('crewLead', <SpecCard machine={machineDetail({ spec })} />);
    await edit();
    await choose('On this machine', 'How does the oil come out? Plug or valve, warm');
    await press('Save the card');
    await waitFor(() => expect(server.sent).toHaveLength(2));
    expect(server.sent[1]?.body).toMatchObject({
      spec: { ways: [{ way: 'drain.plug', why: 'the plug is worn' }] },
    });
  });

  it('marks a figure that cannot be read, keeps what was typed, and sends SI once it can', async () => {
    showTo('crewLead', <SpecCard machine={machineDetail()} />);
    expect(screen.getByText('Nothing stands on this card yet.')).toBeDefined();
    await press('Fill in the card');
    await press('Add a line to Torques');
    await pickComponent('Fastener', 'spark', 'spark plugs');
    await type('Torque', '15 psi');
    await press('Save the card');
    expect(screen.getByText('1 figure cannot be read; they are marked.')).toBeDefined();
    expect(screen.getByLabelText<HTMLInputElement>('Torque').getAttribute('aria-invalid')).toBe('true');
    expect(server.sent).toEqual([]);
    await type('Torque', '15 lbf·ft');
    await press('Save the card');
    await waitFor(() => expect(server.sent).toHaveLength(1));
    expect(server.sent[0]?.body).toMatchObject({
      version: 4,
      spec: { torques: [{ component: 'sparkPlugs', fastener: '', low: 20.337269, high: 20.337269 }] },
    });
  });

  it('is read, and not changed, by a viewer', () => {
    const spec = { ...machineDetail().spec, plugs: [{ type: '5/8 in hexagon', gap: 0.762 }] };
    showTo('viewer', <SpecCard machine={machineDetail({ spec })} />);
    expect(screen.getByText('0.76 mm')).toBeDefined();
    expect(screen.queryByRole('button')).toBeNull();
  });
});
