import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import type { Role, WorkshopDto } from '@yugator/contracts';
import { DEFAULT_RULES, HOUSE_RULES, REFUSED_PRACTICES } from '@yugator/core';
import { showTo, wire } from '../testing/wire.js';
import type { Wire } from '../testing/wire.js';
import { HouseRulesPage } from './HouseRulesPage.js';

const WORKSHOP: WorkshopDto = {
  rules: DEFAULT_RULES,
  panLitres: 8,
  extractorLitres: 6,
  usedOilLitres: 60,
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
    await act(() => fireEvent.click(screen.getByRole('radio', { name: 'Hand-tight' })));
    fireEvent.change(screen.getByLabelText('Drain pan (L)'), { target: { value: '10,5' } });
    fireEvent.change(screen.getByLabelText('Extractor (L)'), { target: { value: '2 gal' } });
    server.refuse({
      type: 'about:blank',
      title: 't',
      status: 422,
      detail: 'd',
      errors: [{ pointer: '#/panLitres', code: 'x', detail: 'Keep the drain pan within 200 L.' }],
    });
    await act(() => fireEvent.click(screen.getByRole('button', { name: 'Keep the house rules' })));
    expect(await screen.findByText('Keep the drain pan within 200 L.')).toBeDefined();
    expect(screen.getByLabelText<HTMLInputElement>('Drain pan (L)').value).toBe('10,5');
    server.refuse(null);
    await act(() => fireEvent.click(screen.getByRole('button', { name: 'Keep the house rules' })));
    await waitFor(() => expect(server.sent).toHaveLength(2));
    expect(server.sent[1]?.body).toMatchObject({
      rules: { ...DEFAULT_RULES, filterTightness: 'hand' },
      panLitres: 10.5,
      extractorLitres: 7.57,
      version: 3,
    });
  });

  it('are only looked at by others', async () => {
    await show('mechanic');
    expect(screen.queryByRole('button', { name: 'Keep the house rules' })).toBeNull();
    expect(screen.getByRole<HTMLInputElement>('radio', { name: 'Hand-tight' }).disabled).toBe(true);
  });
});
