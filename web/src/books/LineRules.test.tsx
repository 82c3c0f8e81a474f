import { fireEvent, screen, within } from '@testing-library/react';
import { showTo, wire } from '../testing/wire.js';
import { emptyBook, emptyLine } from './bookDraft.js';
import type { DraftLine } from './bookDraft.js';
import { LineRules } from './LineRules.js';

const LINE: DraftLine = {
  ...emptyLine(0, 'valve'),
  name: 'Dust valve: squeeze out',
  action: 'clean',
  components: ['dustValve'],
};
const OTHER: DraftLine = { ...emptyLine(0, 'oil'), name: 'Engine oil', components: ['engineOil'] };

let kept: Partial<DraftLine>[];

async function open(line: DraftLine = LINE) {
  kept = [];
  wire({ '/api/seasons': { seasons: [], version: 1 } });
  const draft = { ...emptyBook(), lines: [line, OTHER] };
  showTo('crewLead', <LineRules line={line} draft={draft} onChange={(change) => kept.push(change)} />);
  fireEvent.click(screen.getByRole('button', { name: `More of ${line.name}` }));
  return within(await screen.findByRole('dialog'));
}

type Dialog = Awaited<ReturnType<typeof open>>;
const choose = (dialog: Dialog, label: string, option: string | RegExp) => {
  fireEvent.mouseDown(dialog.getByLabelText(label));
  fireEvent.click(screen.getByRole('option', { name: option }));
};
const type = (dialog: Dialog, label: string, text: string) =>
  fireEvent.change(dialog.getByLabelText(label), { target: { value: text } });
const press = (dialog: Dialog, name: string) => fireEvent.click(dialog.getByRole('button', { name }));

describe('further rules of a line', () => {
  it.each([
    ['they wait for its first day back', true, 'every 40 days in use'],
    ['they run on', false, 'every 40 days, rest or not'],
  ])('say whether days wait while the machine rests: %s', async (option, inUse, words) => {
    const dialog = await open();
    choose(dialog, 'A further rule', 'Every so many days, in use or by the calendar');
    type(dialog, 'Every so many days', '40');
    choose(dialog, 'While the machine rests', option);
    press(dialog, 'Add the rule');
    expect(dialog.getByText(words)).toBeDefined();
    press(dialog, 'Keep');
    expect(kept).toMatchObject([{ others: [{ kind: 'everyCalendar', count: 40, unit: 'day', inUse }] }]);
  });

  it('say in a sentence what is wrong with a figure, and keep what was typed', async () => {
    const dialog = await open();
    choose(dialog, 'A further rule', 'Every so many days, in use or by the calendar');
    type(dialog, 'Every so many days', 'often');
    press(dialog, 'Add the rule');
    expect(dialog.getByText('Give the days as a whole number, such as 7.')).toBeDefined();
    expect(dialog.getByLabelText<HTMLInputElement>('Every so many days').value).toBe('often');
    expect(kept).toEqual([]);
  });

  it('tell what lateness usually costs, and take what the crew lead says instead', async () => {
    const dialog = await open();
    expect(dialog.getByText('As usual for its component (care)')).toBeDefined();
    choose(dialog, 'What lateness costs', /^Wear/);
    press(dialog, 'Keep');
    expect(kept).toMatchObject([{ consequence: 'wear' }]);
  });

  it('let what was said be taken back', async () => {
    const dialog = await open({ ...LINE, components: ['engineOil'], consequence: 'care' });
    choose(dialog, 'What lateness costs', 'As usual for its component (ruin)');
    press(dialog, 'Keep');
    expect(kept).toMatchObject([{ consequence: null }]);
  });

  it('name the other lines of the book, not the line itself, to go with', async () => {
    const dialog = await open();
    choose(dialog, 'A further rule', 'Each n-th time another line is done');
    fireEvent.mouseDown(dialog.getByLabelText('Other line'));
    expect(screen.getAllByRole('option').map(({ textContent }) => textContent)).toEqual(['Engine oil']);
    fireEvent.click(screen.getByRole('option', { name: 'Engine oil' }));
    type(dialog, 'Each n-th time', '3');
    press(dialog, 'Add the rule');
    press(dialog, 'Keep');
    expect(kept).toMatchObject([{ others: [{ kind: 'everyNth', n: 3, itemId: 'Engine oil' }] }]);
  });
});
