import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Role, WorkshopDto } from '@yugator/contracts';
import { DEFAULT_FIGURES, DEFAULT_RULES, HOUSE_RULES, PLAIN_CLIMATE, REFUSED_PRACTICES } from '@yugator/core';
import { press, type } from '../testing/user.js';
import { showTo, wire } from '../testing/wire.js';
import type { Wire } from '../testing/wire.js';
import { HouseRulesPage } from './HouseRulesPage.js';

const WORKSHOP: WorkshopDto = {
  rules: DEFAULT_RULES,
  figures: DEFAULT_FIGURES,
  panLitres: 8,
  extractorLitres: 6,
  usedOilLitres: 60,
  wasteLitres: { coolant: 20, brakeFluid: 5, fuel: 20 },
  version: 3,
};
let server: Wire;
beforeEach(() => {
  server = wire(
    () => WORKSHOP,
    () => WORKSHOP,
  );
});

async function show(role: Role = 'crewLead') {
  showTo(role, <HouseRulesPage />);
  await screen.findByText('What the shop drains into');
}

describe('the house rules', () => {
  it('stand side by side with why each is held, and what is not offered with its reason', async () => {
    await show();
    for (const { question, options } of HOUSE_RULES) {
      const group = within(screen.getByRole('radiogroup', { name: question }));
      expect(group.getAllByRole('radio')).toHaveLength(options.length);
      for (const { why } of options) expect(group.getByText(why)).toBeDefined();
    }
    for (const { practice } of REFUSED_PRACTICES) expect(screen.getByText(`${practice}.`)).toBeDefined();
  });

  it('are chosen and kept together with the vessels, and a refusal keeps what was typed', async () => {
    await show();
    const user = userEvent.setup();
    const retype = async (label: string, text: string) => {
      await user.clear(screen.getByLabelText(label));
      await user.type(screen.getByLabelText(label), text);
    };
    const keep = () => user.click(screen.getByRole('button', { name: 'Keep the house rules' }));
    await user.click(screen.getByRole('radio', { name: 'Hand-tight' }));
    await retype('Drain pan (L)', '10,5');
    await retype('Extractor (L)', '2 gal');
    await retype('Snugged with the wrench, by (°)', '75');
    expect(screen.getByRole('radio', { name: 'By hand, then 75° more with the wrench' })).toBeInTheDocument();
    server.refuse({
      type: 'about:blank',
      title: 't',
      status: 422,
      detail: 'd',
      errors: [{ pointer: '#/panLitres', code: 'x', detail: 'Keep the drain pan within 200 L.' }],
    });
    await keep();
    expect(await screen.findByText('Keep the drain pan within 200 L.')).toBeDefined();
    expect(screen.getByLabelText<HTMLInputElement>('Drain pan (L)').value).toBe('10,5');
    server.refuse(null);
    await keep();
    await waitFor(() => expect(server.sent).toHaveLength(2));
    expect(server.sent[1]?.body).toMatchObject({
      rules: { ...DEFAULT_RULES, filterTightness: 'hand' },
      figures: { ...DEFAULT_FIGURES, snugDegrees: 75 },
      panLitres: 10.5,
      extractorLitres: 7.57,
      version: 3,
    });
  });

  it('refuse a figure beyond what is safe at its own field, before anything is sent', async () => {
    await show();
    const user = userEvent.setup();
    const field = screen.getByLabelText('A battery at rest is good from (V)');
    await user.clear(field);
    await user.type(field, '12.1');
    await user.click(screen.getByRole('button', { name: 'Keep the house rules' }));
    expect(
      await screen.findByText('A battery at rest is good from: give a figure within 12.2–12.7 V.'),
    ).toBeInTheDocument();
    expect(field).toHaveValue('12.1');
    expect(server.sent).toEqual([]);
  });

  it('are only looked at by others', async () => {
    await show('mechanic');
    expect(screen.queryByRole('button', { name: 'Keep the house rules' })).toBeNull();
    expect(screen.getByRole<HTMLInputElement>('radio', { name: 'Hand-tight' }).disabled).toBe(true);
  });

  it('hold the coldest and warmest of each month, typed in °C or °F', async () => {
    server = wire(
      () => ({ ...WORKSHOP, climate: PLAIN_CLIMATE.map((month) => ({ ...month })) }),
      () => WORKSHOP,
    );
    await show();
    await type('Coldest of January', '14 °F');
    await type('Warmest of July', '38,5');
    await press('Keep the house rules');
    await waitFor(() => expect(server.sent).toHaveLength(1));
    const { climate = [] }: Partial<WorkshopDto> = server.sent[0]?.body ?? {};
    // 14 °F = -10 °C (NIST SP 811, appendix B.8).
    expect([climate.length, climate[0], climate[6], climate[11]]).toEqual([
      12,
      { low: -10, high: 12 },
      { low: 8, high: 38.5 },
      PLAIN_CLIMATE[11],
    ]);
    await type('Coldest of March', 'frost');
    await press('Keep the house rules');
    expect(await screen.findByText('Give the temperature in °C, from -60 to 60.')).toBeDefined();
    expect(server.sent).toHaveLength(1);
  });
});
