import { act, fireEvent, render, screen } from '@testing-library/react';
import { UpdateSiteSettingsDto } from '@yugator/contracts';
import { MoneyField } from './MoneyField.js';
import { useDtoForm } from './useDtoForm.js';

const kept = jest.fn();

function Shown({ currency, minor }: { currency: string; minor: number | null }) {
  const form = useDtoForm(UpdateSiteSettingsDto, {
    hoursGrid: 'sinceDone',
    unitSystem: 'metric',
    dateOrder: 'dayFirst',
    staleAfterDays: 8,
    sessionIdleDays: 14,
    version: 1,
    labourRateMinor: minor,
  });
  return (
    <form onSubmit={form.handleSubmit(({ labourRateMinor }) => void kept(labourRateMinor))}>
      <MoneyField form={form} name="labourRateMinor" label="An hour" currency={currency} mayBeEmpty />
      <button type="submit">Keep</button>
    </form>
  );
}
const field = () => screen.getByLabelText<HTMLInputElement>(/An hour/);
const keep = (typed: string | null) =>
  act(async () => {
    if (typed !== null) fireEvent.change(field(), { target: { value: typed } });
    fireEvent.blur(field());
    fireEvent.click(screen.getByRole('button', { name: 'Keep' }));
    await Promise.resolve();
  });

describe('a field for money', () => {
  beforeEach(() => kept.mockReset());

  it.each([
    // ISO 4217: a pound has 100 pence, a yen no minor unit, a Kuwaiti dinar 1,000 fils.
    ['GBP', 3250, '32.50', '28,90', 2890],
    ['JPY', 3250, '3250', '4000', 4000],
    ['KWD', 3250, '3.250', '2.5', 2500],
    ['GBP', 3250, '32.50', null, 3250],
    ['GBP', 3250, '32.50', '', null],
  ])('of %s shows %s as %s, and keeps %s as %s', async (currency, minor, shown, typed, expected) => {
    render(<Shown currency={currency} minor={minor} />);
    expect(field().value).toBe(shown);
    await keep(typed);
    expect(kept).toHaveBeenCalledWith(expected);
  });

  it('says what is wrong, and keeps what was typed', async () => {
    render(<Shown currency="GBP" minor={null} />);
    await keep('a lot');
    expect(screen.getByText(/Give the rate as an amount of money/)).toBeDefined();
    expect(field().value).toBe('a lot');
    expect(kept).not.toHaveBeenCalled();
  });
});
