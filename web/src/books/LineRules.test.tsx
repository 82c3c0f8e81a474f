import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { choose, press, type } from '../testing/user.js';
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
  await press(`More of ${line.name}`);
  return within(await screen.findByRole('dialog'));
}

describe('further rules of a line', () => {
  it.each([
    ['they wait for its first day back', true, 'every 40 days in use'],
    ['they run on', false, 'every 40 days, rest or not'],
  ])('say whether days wait while the machine rests: %s', async (option, inUse, words) => {
    const dialog = await open();
    await choose('A further rule', 'Every so many days, in use or by the calendar', dialog);
    await type('Every so many days', '40', dialog);
    await choose('While the machine rests', option, dialog);
    await press('Add the rule', dialog);
    expect(dialog.getByText(words)).toBeDefined();
    await press('Keep', dialog);
    await waitFor(() => expect(kept).toHaveLength(1));
    expect(kept).toMatchObject([{ others: [{ kind: 'everyCalendar', count: 40, unit: 'day', inUse }] }]);
  });

  it('say in a sentence what is wrong with a figure, and keep what was typed', async () => {
    const dialog = await open();
    await choose('A further rule', 'Every so many days, in use or by the calendar', dialog);
    await type('Every so many days', 'often', dialog);
    await press('Add the rule', dialog);
    expect(dialog.getByText('Give the days as a whole number, such as 7.')).toBeDefined();
    expect(dialog.getByLabelText<HTMLInputElement>('Every so many days').value).toBe('often');
    expect(kept).toEqual([]);
  });

  it('tell what lateness usually costs, and take what the crew lead says instead', async () => {
    const dialog = await open();
    expect(dialog.getByText('As usual for its component (care)')).toBeDefined();
    await choose('What lateness costs', /^Wear/, dialog);
    await press('Keep', dialog);
    await waitFor(() => expect(kept).toHaveLength(1));
    expect(kept).toMatchObject([{ consequence: 'wear' }]);
  });

  it('tell where it is usually done, and take what the crew lead says instead', async () => {
    // Weekly in use, 15 minutes: too long for a walk-round.
    const weekly = { kind: 'everyCalendar', count: 7, unit: 'day', inUse: null } as const;
    const dialog = await open({ ...LINE, others: [weekly] });
    expect(dialog.getByText('As usual (in a visit)')).toBeVisible();
    await choose('Where it is done', 'on the walk-round', dialog);
    await press('Keep', dialog);
    await waitFor(() => expect(kept).toHaveLength(1));
    expect(kept).toMatchObject([{ doneIn: 'walk' }]);
  });

  it('say that what is short and comes often is usually done on the walk-round', async () => {
    const weekly = { kind: 'everyCalendar', count: 7, unit: 'day', inUse: null } as const;
    const dialog = await open({ ...LINE, minutes: '3', others: [weekly] });
    expect(dialog.getByText('As usual (on the walk-round)')).toBeVisible();
  });

  it('let what was said be taken back', async () => {
    const dialog = await open({ ...LINE, components: ['engineOil'], consequence: 'care' });
    await choose('What lateness costs', 'As usual for its component (ruin)', dialog);
    await press('Keep', dialog);
    await waitFor(() => expect(kept).toHaveLength(1));
    expect(kept).toMatchObject([{ consequence: null }]);
  });

  it('name the other lines of the book, not the line itself, to go with', async () => {
    const dialog = await open();
    await choose('A further rule', 'Each n-th time another line is done', dialog);
    await userEvent.click(dialog.getByLabelText('Other line'));
    expect(screen.getAllByRole('option').map(({ textContent }) => textContent)).toEqual(['Engine oil']);
    await userEvent.click(screen.getByRole('option', { name: 'Engine oil' }));
    await type('Each n-th time', '3', dialog);
    await press('Add the rule', dialog);
    await press('Keep', dialog);
    await waitFor(() => expect(kept).toHaveLength(1));
    expect(kept).toMatchObject([{ others: [{ kind: 'everyNth', n: 3, itemId: 'Engine oil' }] }]);
  });

  it('are not kept with a figure that is none, and say so at its field', async () => {
    const dialog = await open();
    const label = 'Ripe so many days before (empty: a tenth, 1 to 14)';
    await type(label, 'a week', dialog);
    await press('Keep', dialog);
    await waitFor(() => expect(dialog.getByLabelText(label)).toBeInvalid());
    expect(dialog.getByLabelText(label)).toHaveValue('a week');
    expect(kept).toEqual([]);
    await type(label, '7', dialog);
    await press('Keep', dialog);
    await waitFor(() => expect(kept).toMatchObject([{ windowDays: 7, windowHours: null }]));
  });
});
