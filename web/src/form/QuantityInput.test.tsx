import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { type } from '../testing/user.js';
import { showTo } from '../testing/wire.js';
import { QuantityInput } from './QuantityInput.js';

function Extractor({ onTyped }: { onTyped: (litres: number | null) => void }) {
  const [litres, setLitres] = useState<number | null>(6);
  return (
    <QuantityInput
      label="Extractor"
      dimension="volume"
      keptDecimals={2}
      value={litres}
      onChange={(value) => {
        setLitres(value);
        onTyped(value);
      }}
    />
  );
}

function show(unitSystem: 'metric' | 'us') {
  const typed = { litres: null as number | null };
  showTo('crewLead', <Extractor onTyped={(litres) => (typed.litres = litres)} />, { unitSystem });
  return typed;
}

describe('a quantity', () => {
  it('is typed in any unit of the trade, and what was understood is said', async () => {
    const typed = show('metric');
    await type('Extractor (L)', '2 gal');
    // 2 US gal = 7.570 823 568 L (NIST Handbook 44, appendix C).
    expect(typed.litres).toBe(7.57);
    expect(screen.getByText('That is 7.57 L.')).toBeVisible();
    await type('Extractor (L)', '7,5');
    expect(typed.litres).toBe(7.5);
    expect(screen.queryByText(/That is/)).toBeNull();
  });

  it('is shown and read in the units that the person thinks in', async () => {
    const typed = show('us');
    expect(screen.getByLabelText('Extractor (qt)')).toHaveValue('6.34');
    await type('Extractor (qt)', '8');
    expect(typed.litres).toBe(7.57);
    expect(screen.getByLabelText('Extractor (qt)')).toHaveValue('8');
  });

  it('that cannot be read is said so, and what was typed stays', async () => {
    const typed = show('metric');
    await type('Extractor (L)', '8 psi');
    expect(typed.litres).toBeNaN();
    expect(screen.getByLabelText('Extractor (L)')).toHaveValue('8 psi');
    expect(screen.getByLabelText('Extractor (L)')).toBeInvalid();
    expect(screen.getByText('Type a volume, such as 3.2 L or 2 qt.')).toBeVisible();
    await userEvent.clear(screen.getByLabelText('Extractor (L)'));
    expect(typed.litres).toBeNull();
  });
});
