import { fireEvent, screen, waitFor } from '@testing-library/react';
import type { EvidenceDto } from '@yugator/contracts';
import type { Finding } from '@yugator/core';
import { machineDetail } from '../testing/machines.js';
import { showTo, wire } from '../testing/wire.js';
import { EvidenceProposals } from './EvidenceProposals.js';

const every = (hours: number) => ({
  kind: 'everyHours' as const,
  hours,
  meter: 'engine' as const,
  grid: null,
});
const BOLTS: Finding = {
  key: 'bolts.torque',
  look: null,
  found: { loose: 0, checked: 8 },
  isGood: true,
  measurement: { kind: 'bolts', label: 'Loose bolts' },
};
const PROPOSAL: EvidenceDto = {
  itemId: 'bolts',
  itemName: 'Wheel bolts',
  kind: 'longer',
  present: [every(50)],
  triggers: [every(75)],
  checks: [14, 15, 16, 17].map((day) => ({
    on: `2027-05-0${day - 10}`,
    life: 60 + day,
    isGood: true,
    findings: [BOLTS],
  })),
};

describe('what the checks say', () => {
  it('is told with the figures behind it, and answered by the crew lead', async () => {
    const { sent } = wire({ '/api/machines/m/evidence': [PROPOSAL] }, () => []);
    showTo('crewLead', <EvidenceProposals machine={machineDetail()} />);
    expect(await screen.findByText(/4 of the last 4 checks were good/)).toBeDefined();
    expect(screen.getByText(/every 75 h/)).toBeDefined();
    expect(screen.getByText(/in place of every 50 h/)).toBeDefined();
    expect(screen.getByText(/✓ 4 May at 74.0 h/)).toBeDefined();
    expect(screen.getAllByText('Loose bolts: 0 of 8')).toHaveLength(4);
    fireEvent.click(screen.getByRole('button', { name: 'Take it over' }));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toEqual({
      method: 'POST',
      path: '/api/machines/m/evidence/bolts',
      body: { answer: 'accepted' },
    });
  });

  it('is only read by others, and silent while the checks say nothing', async () => {
    wire({ '/api/machines/m/evidence': [PROPOSAL] });
    showTo('mechanic', <EvidenceProposals machine={machineDetail()} />);
    await screen.findByText(/checks were good/);
    expect(screen.queryByRole('button')).toBeNull();
  });
});
