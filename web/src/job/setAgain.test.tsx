import { render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { sheetSteps } from '@yugator/core';
import type { Found } from '@yugator/contracts';
import { useState } from 'react';
import { SessionContext } from '../session/useSession.js';
import { SITE } from '../testing/fixtures.js';
import { job } from '../testing/jobs.js';
import { StepBody } from './StepBody.js';

const ANSEL = { id: 'a', name: 'Ansel', role: 'mechanic', active: true, version: 1 } as const;

/** The step that measures the rear tyres of a machine whose card wants 69 to 83 kPa, and what it has found. */
function Tyres({ keep }: { readonly keep: (found: Found) => void }) {
  const [found, setFound] = useState<Found>({});
  const whole = job();
  const tyres = {
    id: 't',
    name: 'Tyres',
    action: 'inspect',
    components: ['rearTyres'],
    minutes: null,
  } as const;
  const spec = {
    ...whole.setUp.spec,
    tyres: [{ axle: 'rear', low: 69, high: 83, sidewallMaximum: 97 } as const],
  };
  const setUp = { ...whole.setUp, spec, items: [{ ...tyres }] };
  const step = sheetSteps(setUp).find(({ key }) => key === 'tyres.rear');
  if (!step) throw new Error('The sheet measures no tyres.');
  const onFound = (now: Found) => {
    setFound(now);
    keep(now);
  };
  return (
    <SessionContext.Provider
      value={{ person: ANSEL, site: SITE, ownUnits: null, atShed: null, today: '2027-05-13' }}
    >
      <StepBody job={{ ...whole, setUp }} step={step} found={found} onFound={onFound} />
    </SessionContext.Provider>
  );
}

const group = (name: RegExp) => within(screen.getByRole('group', { name }));

describe('a battery that is charged for the winter', () => {
  it.each([
    [undefined, '12 Jun'],
    [45, '27 Jun'],
  ])('in storage every %s days is looked at again on %s', (storageDays, words) => {
    const whole = job();
    const charge = { id: 'c', name: 'Battery: charge', action: 'charge', components: ['battery'] } as const;
    const setUp = { ...whole.setUp, items: [{ ...charge, storageDays: storageDays ?? null }] };
    const step = sheetSteps(setUp).find(({ againInDays }) => againInDays !== null);
    if (!step) throw new Error('The sheet charges no battery.');
    render(
      <SessionContext.Provider
        value={{ person: ANSEL, site: SITE, ownUnits: null, atShed: null, today: '2027-05-13' }}
      >
        <StepBody job={{ ...whole, setUp }} step={step} found={{}} onFound={() => undefined} />
      </SessionContext.Provider>,
    );
    expect(screen.getByText(/To be looked at again on/)).toHaveTextContent(words);
  });
});

describe('what is measured and can be set', () => {
  it('asks for nothing more where it was found right', async () => {
    render(<Tyres keep={() => undefined} />);
    await userEvent.type(group(/Pressure/).getByRole('textbox', { name: 'Left (kPa)' }), '80');
    await userEvent.type(group(/Pressure/).getByRole('textbox', { name: 'Right (kPa)' }), '80');
    expect(screen.getByText(/Right, and equal/)).toBeVisible();
    expect(screen.queryByRole('group', { name: 'After setting' })).toBeNull();
  });

  it('says how it is set where it is out, asks what it came to, and keeps both', async () => {
    const keep = jest.fn();
    render(<Tyres keep={keep} />);
    await userEvent.type(group(/Pressure/).getByRole('textbox', { name: 'Left (kPa)' }), '60');
    await userEvent.type(group(/Pressure/).getByRole('textbox', { name: 'Right (kPa)' }), '80');
    expect(screen.getByText(/^Pump up or let out air/)).toBeVisible();
    const again = group(/^After setting/);
    await userEvent.type(again.getByRole('textbox', { name: 'Left (kPa)' }), '62');
    await userEvent.type(again.getByRole('textbox', { name: 'Right (kPa)' }), '80');
    expect(screen.getByText(/found defective/)).toBeVisible();
    await userEvent.clear(again.getByRole('textbox', { name: 'Left (kPa)' }));
    await userEvent.type(again.getByRole('textbox', { name: 'Left (kPa)' }), '80');
    expect(screen.queryByText(/found defective/)).toBeNull();
    expect(keep).toHaveBeenLastCalledWith({ left: 60, right: 80, 'again.left': 80, 'again.right': 80 });
  });
});
