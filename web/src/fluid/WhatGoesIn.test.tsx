import { screen } from '@testing-library/react';
import type { Found, Role } from '@yugator/contracts';
import type { FluidTarget } from '@yugator/core';
import { useState } from 'react';
import { article } from '../testing/articles.js';
import { type } from '../testing/user.js';
import { showTo, wire } from '../testing/wire.js';
import { WhatGoesIn } from './WhatGoesIn.js';

const oil = (id: string, name: string, barcode: string, ...categories: ('API SN' | 'API CK-4')[]) =>
  article({
    id,
    name,
    barcode,
    kind: 'fluid',
    unit: 'litre',
    fluid: { kind: 'engineOil', grade: '10W-30', categories },
  });
const DIESEL: FluidTarget = { fuel: 'diesel', fluids: [], fits: [], expected: null };

async function show(role: Role, target = DIESEL) {
  wire({
    '/api/articles': [oil('d', 'Diesel oil', '111', 'API CK-4'), oil('p', 'Petrol oil', '222', 'API SN')],
  });
  const kept: Found[] = [];
  function Step() {
    const [found, setFound] = useState<Found>({ jug: 'five' });
    return (
      <WhatGoesIn
        found={found}
        component="engineOil"
        target={target}
        fitting={[]}
        approved={['15W-40 (API CI-4)']}
        onFound={(next) => {
          kept.push(next);
          setFound(next);
        }}
      />
    );
  }
  showTo(role, <Step />);
  await screen.findByLabelText('What goes in');
  await screen.findByText((_text, node) => node?.getAttribute('value') === 'Petrol oil');
  return () => kept.at(-1);
}

describe('what goes in', () => {
  it('is kept as the article of the shelf, by its name or its code, beside what else was found', async () => {
    const kept = await show('mechanic');
    await type('What goes in', '111{Enter}');
    expect(kept()).toEqual({ jug: 'five', poured: 'Diesel oil', pouredId: 'd', pouredFor: 'engineOil' });
    await type('What goes in', 'Oil of the shed');
    expect(kept()).toEqual({ jug: 'five', poured: 'Oil of the shed' });
    await type('What goes in', '');
    expect(kept()).toEqual({ jug: 'five' });
  });

  it('is refused to a mechanic where it does not belong, with why', async () => {
    const kept = await show('mechanic');
    await type('What goes in', '222{Enter}');
    expect(screen.getByText(/for gasoline engines alone; this is a diesel/)).toBeDefined();
    expect(screen.getByText(/It is not kept/)).toBeDefined();
    expect(kept()).toEqual({ jug: 'five' });
    expect(screen.queryByLabelText('Why it goes in all the same')).toBeNull();
    await type('What goes in', 'Diesel oil');
    expect(kept()).toMatchObject({ pouredId: 'd' });
    expect(screen.queryByText(/It is not kept/)).toBeNull();
  });

  it('goes in all the same where the crew lead says why', async () => {
    const kept = await show('crewLead');
    await type('What goes in', 'Petrol oil');
    expect(kept()).toEqual({ jug: 'five' });
    await type('Why it goes in all the same', 'to get it home');
    expect(kept()).toEqual({
      jug: 'five',
      poured: 'Petrol oil',
      pouredId: 'p',
      pouredFor: 'engineOil',
      pouredWhy: 'to get it home',
    });
  });

  it('is taken from anybody where the crew lead said that it fits', async () => {
    const fit = { component: 'engineOil', standing: 'substitute', articleId: 'p', fluid: null } as const;
    const kept = await show('mechanic', { ...DIESEL, fits: [fit] });
    await type('What goes in', 'Petrol oil');
    expect(kept()).toMatchObject({ pouredId: 'p', pouredFor: 'engineOil' });
    expect(screen.queryByText(/It is not kept/)).toBeNull();
  });
});
