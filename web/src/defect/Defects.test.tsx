import { fireEvent, screen, waitFor } from '@testing-library/react';
import type { DefectDto } from '@yugator/contracts';
import { machineDetail } from '../testing/machines.js';
import { showTo, wire } from '../testing/wire.js';
import { Defects } from './Defects.js';

const DEFECT: DefectDto = {
  id: 'd',
  machine: { id: 'm', tag: 'M-07', name: 'Lakeside' },
  foundOn: '2027-05-11',
  reportedBy: 'Dru',
  words: 'Spindle rumbles',
  severity: 'soon',
  itemName: null,
  closedByJobId: null,
};

describe('the defects of a machine', () => {
  it('are told with how bad they are and who found them', async () => {
    wire({ '/api/machines/m/defects': [DEFECT] });
    showTo('viewer', <Defects machine={machineDetail()} />);
    expect(await screen.findByText('Spindle rumbles')).toBeDefined();
    expect(screen.getByText(/mend it soon/)).toBeDefined();
    expect(screen.getByText(/Dru, 11 May/)).toBeDefined();
    expect(screen.queryByRole('button')).toBeNull();
  });

  it('are reported by an operator, who is told what the worst of them does', async () => {
    const { sent } = wire({ '/api/machines/m/defects': [] }, () => [DEFECT]);
    showTo('operator', <Defects machine={machineDetail()} />);
    fireEvent.click(screen.getByRole('button', { name: 'Report a defect' }));
    fireEvent.click(await screen.findByRole('button', { name: 'Report it' }));
    expect(await screen.findByText('Say in 3 to 300 letters what is wrong.')).toBeDefined();
    fireEvent.change(screen.getByLabelText('What is wrong'), { target: { value: 'Brake does not hold' } });
    fireEvent.mouseDown(screen.getByLabelText('How bad it is'));
    fireEvent.click(screen.getByRole('option', { name: 'Not to be used' }));
    expect(await screen.findByText('The machine is taken out of service at once.')).toBeDefined();
    fireEvent.click(screen.getByRole('button', { name: 'Report it' }));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toEqual({
      method: 'POST',
      path: '/api/machines/m/defects',
      body: { words: 'Brake does not hold', severity: 'stop' },
    });
  });
});
