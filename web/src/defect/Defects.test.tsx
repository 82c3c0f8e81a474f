import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { machineDetail } from '../testing/machines.js';
import { defect } from '../testing/records.js';
import { showTo, wire } from '../testing/wire.js';
import { Defects } from './Defects.js';

const DEFECT = defect();

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
    const user = userEvent.setup();
    await user.click(screen.getByRole('button', { name: 'Report a defect' }));
    await user.click(await screen.findByRole('button', { name: 'Report it' }));
    expect(await screen.findByText('Say in 3 to 300 letters what is wrong.')).toBeVisible();
    await user.type(screen.getByLabelText('What is wrong'), 'Brake does not hold');
    await user.click(screen.getByLabelText('How bad it is'));
    await user.click(screen.getByRole('option', { name: 'Not to be used' }));
    expect(await screen.findByText('The machine is taken out of service at once.')).toBeVisible();
    await user.click(screen.getByRole('button', { name: 'Report it' }));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toEqual({
      method: 'POST',
      path: '/api/machines/m/defects',
      body: { words: 'Brake does not hold', severity: 'stop' },
    });
  });

  it('show why it does not start as it was searched, and lead to a search that is kept with them', async () => {
    const answers = { turns: 'slow', rest: 12.6, load: 8.9, celsius: 21 } as const;
    const searches = [{ on: '2027-05-12', by: 'Ansel Pike', answers, verdict: 'newBattery' as const }];
    wire({ '/api/machines/m/defects': [{ ...DEFECT, words: 'Dead', searches }] });
    showTo('operator', <Defects machine={machineDetail()} />);
    expect(
      await screen.findByText(/Searched: A new battery \(at rest 12.6 V, under load 8.9 V at 21.°C\)/),
    ).toHaveTextContent('(Ansel Pike, 12 May)');
    expect(screen.getByRole('link', { name: 'Dead: search why it does not start' })).toHaveAttribute(
      'href',
      '/bench/no-start?machine=m&defect=d',
    );
    expect(screen.getByRole('link', { name: 'It does not start' })).toHaveAttribute(
      'href',
      '/bench/no-start?machine=m',
    );
  });
});
