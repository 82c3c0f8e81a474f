import { act, screen } from '@testing-library/react';
import type { UnsettledDto } from '@yugator/contracts';
import { showTo, wire } from '../testing/wire.js';
import { Unsettled } from './Unsettled.js';

const LINES: UnsettledDto[] = [
  { where: 'book', id: 'b', of: 'Verrick', line: 'Gadget: look', words: 'gadget' },
  { where: 'card', id: 'm', of: 'M-07', line: 'Magic nut', words: 'Magic nut' },
  { where: 'machine', id: 'n', of: 'M-08', line: 'Decals', words: 'decals' },
];

describe('components to settle', () => {
  it('are told with the way to each, and with nothing where all is settled', async () => {
    wire(() => LINES);
    const shown = showTo('crewLead', <Unsettled />);
    expect(await screen.findByText('Gadget: look')).toBeDefined();
    const targets = screen.getAllByRole('link').map((link) => link.getAttribute('href'));
    expect(targets).toEqual(['/books/b', '/fleet/m/spec', '/fleet/n/details']);
    shown.unmount();
    wire(() => []);
    showTo('crewLead', <Unsettled />);
    await act(() => new Promise((resolve) => setTimeout(resolve, 20)));
    expect(screen.queryByRole('heading')).toBeNull();
  });
});
