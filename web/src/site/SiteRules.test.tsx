import { fireEvent, screen, waitFor } from '@testing-library/react';
import type { SiteSettingsDto } from '@yugator/contracts';
import { showTo, wire } from '../testing/wire.js';
import { SiteRules } from './SiteRules.js';

const SETTINGS: SiteSettingsDto = {
  hoursGrid: 'sinceDone',
  unitSystem: 'metric',
  dateOrder: 'dayFirst',
  staleAfterDays: 8,
  sessionIdleDays: 14,
  labourRateMinor: 3250,
  version: 2,
};
const rate = () => screen.getByLabelText<HTMLInputElement>(/An hour of the crew/);
const save = () => fireEvent.click(screen.getByRole('button', { name: 'Save' }));

describe('the rules of the site', () => {
  it('keep the rate of the crew in minor units, and nothing where it is left empty', async () => {
    const { sent } = wire({ '/api/site': SETTINGS }, () => SETTINGS);
    showTo('crewLead', <SiteRules mayChange />);
    await waitFor(() => expect(rate().value).toBe('32.50'));
    fireEvent.change(rate(), { target: { value: '36' } });
    save();
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toEqual({
      method: 'PUT',
      path: '/api/site',
      body: { ...SETTINGS, labourRateMinor: 3600 },
    });
    fireEvent.change(rate(), { target: { value: '' } });
    save();
    await waitFor(() => expect(sent).toHaveLength(2));
    expect(sent[1]?.body).toMatchObject({ labourRateMinor: null });
  });

  it('name the field that cannot be read, and keep what was typed when somebody else was faster', async () => {
    const { sent, refuse } = wire({ '/api/site': SETTINGS }, () => SETTINGS);
    showTo('crewLead', <SiteRules mayChange />);
    await waitFor(() => expect(rate().value).toBe('32.50'));
    fireEvent.change(rate(), { target: { value: 'dear' } });
    save();
    expect(await screen.findByText(/Give the rate as an amount of money/)).toBeDefined();
    expect(sent).toEqual([]);
    fireEvent.change(rate(), { target: { value: '40' } });
    refuse({ title: 'Stale', status: 409, detail: 'Somebody else changed this page of settings meanwhile.' });
    save();
    expect(await screen.findByText(/Somebody else changed/)).toBeDefined();
    expect(rate().value).toBe('40');
  });

  it('are only read by others', async () => {
    wire({ '/api/site': SETTINGS });
    showTo('mechanic', <SiteRules mayChange={false} />);
    expect(await screen.findByText(/since it was last done\. A reading is stale after 8 days/)).toBeDefined();
    expect(screen.queryByRole('button')).toBeNull();
  });
});
