import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { civilDate, typedDay } from '@yugator/core';
import type { DateOrder } from '@yugator/core';
// It comes late by itself; here it is there from the beginning.
import '../form/CalendarField.js';

/** The calendar comes by itself a moment later. */
const group = (label: string) => screen.findByRole('group', { name: label });

/** Types a civil date as a person does, part by part in the order of the site. */
export async function typeDay(label: string, day: string, order: DateOrder = 'dayFirst'): Promise<void> {
  const user = userEvent.setup();
  const digits = typedDay(civilDate(day), order).replace(/\D/g, '');
  const [first] = within(await group(label)).getAllByRole('spinbutton');
  if (!first) throw new Error(`${label} has no part to type in.`);
  await user.click(first);
  await user.keyboard(digits);
}

/** The day that a field shows, as it is written there: "31/12/2027". */
export async function shownDay(label: string): Promise<string> {
  const parts = within(await group(label)).getAllByRole('spinbutton');
  return parts.map((part) => part.textContent).join('/');
}
