import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';

type Name = string | RegExp;
/** The page, or a part of it. */
type Where = Pick<typeof screen, 'getByRole' | 'getByLabelText'>;

/** Presses a button. */
export async function press(name: Name, where: Where = screen): Promise<void> {
  await userEvent.click(where.getByRole('button', { name }));
}

/** Types over what stands in a field. */
export async function type(label: Name, text: string, where: Where = screen): Promise<void> {
  const field = where.getByLabelText(label);
  await userEvent.clear(field);
  if (text) await userEvent.type(field, text);
}

/** Opens a list and chooses from it. */
export async function choose(label: Name, option: Name, where: Where = screen): Promise<void> {
  await userEvent.click(where.getByLabelText(label));
  await userEvent.click(screen.getByRole('option', { name: option }));
}

/** Searches a list of components and picks one. */
export async function pickComponent(label: Name, words: string, option: string): Promise<void> {
  await type(label, words);
  await userEvent.click(screen.getByRole('option', { name: option }));
}
