import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
// It comes late by itself; here it is there from the beginning.
import '../form/CalendarField.js';

/** The calendar comes by itself a moment later. */
const group = (label: string) => screen.findByRole('group', { name: label });

/** Types a civil date as a person does, day first, part by part. */
export async function typeDay(label: string, day: string): Promise<void> {
  const user = userEvent.setup();
  const [year, month, date] = day.split('-');
  const [first] = within(await group(label)).getAllByRole('spinbutton');
  if (!first) throw new Error(`${label} has no part to type in.`);
  await user.click(first);
  await user.keyboard(`${date}${month}${year}`);
}

/** The day that a field shows, as it is written there: "31/12/2027". */
export async function shownDay(label: string): Promise<string> {
  const parts = within(await group(label)).getAllByRole('spinbutton');
  return parts.map((part) => part.textContent).join('/');
}
