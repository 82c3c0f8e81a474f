import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { ChangeStatusDto } from '@yugator/contracts';
import type { DateOrder } from '@yugator/core';
import { shownDay, typeDay } from '../testing/day.js';
import { press } from '../testing/user.js';
import { showTo } from '../testing/wire.js';
import { DayField } from './DayField.js';
import { useDtoForm } from './useDtoForm.js';

let sent: ChangeStatusDto[];

function Form({ since, readOnly = false }: { since: string; readOnly?: boolean }) {
  const form = useDtoForm<ChangeStatusDto>(ChangeStatusDto, {
    status: 'laidUp',
    since,
    reason: 'Frost',
    version: 1,
  });
  return (
    <form onSubmit={(event) => void form.handleSubmit((values) => sent.push(values))(event)}>
      <DayField form={form} name="since" label="Since" hint="The first day of it" readOnly={readOnly} />
      <button>Keep</button>
    </form>
  );
}

function show(since: string, dateOrder: DateOrder = 'dayFirst', readOnly = false) {
  sent = [];
  showTo('crewLead', <Form since={since} readOnly={readOnly} />, { dateOrder });
}

describe('a day that is typed', () => {
  it.each([
    ['dayFirst', '01/02/2027', '2027-02-03', '03/02/2027'],
    ['monthFirst', '02/01/2027', '2027-02-03', '02/03/2027'],
    ['yearFirst', '2027/02/01', '2027-02-03', '2027/02/03'],
  ] as const)('is written in the order of the site: %s', async (order, before, typed, after) => {
    show('2027-02-01', order);
    expect(await shownDay('Since')).toBe(before);
    await typeDay('Since', typed, order);
    expect(await shownDay('Since')).toBe(after);
    await press('Keep');
    // Whatever the order, the same day is sent.
    await waitFor(() => expect(sent.map(({ since }) => since)).toEqual([typed]));
  });

  it('may be a leap day', async () => {
    show('');
    await typeDay('Since', '2028-02-29');
    await press('Keep');
    await waitFor(() => expect(sent[0]?.since).toBe('2028-02-29'));
  });

  it('is not sent half typed: the sentence stands at the field, and what was typed too', async () => {
    show('');
    const group = await screen.findByRole('group', { name: 'Since' });
    expect(screen.getByText('The first day of it')).toBeInTheDocument();
    const [first] = group.querySelectorAll('[role=spinbutton]');
    if (!first) throw new Error('There is nothing to type in.');
    await userEvent.click(first);
    await userEvent.keyboard('1705');
    await press('Keep');
    expect(await screen.findByText(/Give the day as a date that exists/)).toBeInTheDocument();
    expect((await shownDay('Since')).slice(0, 5)).toBe('17/05');
    expect(sent).toEqual([]);
  });

  it('is put in by keys alone: the arrows count each part', async () => {
    show('2027-05-13');
    await screen.findByRole('group', { name: 'Since' });
    await userEvent.tab();
    await userEvent.keyboard('{ArrowUp}{ArrowRight}{ArrowDown}');
    expect(await shownDay('Since')).toBe('14/04/2027');
  });

  it('stays where it may not be changed', async () => {
    show('2027-05-13', 'dayFirst', true);
    await typeDay('Since', '2026-01-01');
    expect(await shownDay('Since')).toBe('13/05/2027');
  });
});
