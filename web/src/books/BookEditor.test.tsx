import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { BookDto, BookFieldsDto } from '@yugator/contracts';
import { press, type } from '../testing/user.js';
import { showTo, wire } from '../testing/wire.js';
import type { Wire } from '../testing/wire.js';
import { BookEditor } from './BookEditor.js';

/** An id that stays the same for a name. */
const idOf = (name: string) =>
  `00000000-0000-7000-8000-${Buffer.from(name.slice(0, 6)).toString('hex').padStart(12, '0')}`;

const line = (name: string, over: Partial<BookDto['items'][number]> = {}): BookDto['items'][number] => ({
  id: idOf(name),
  name,
  action: 'replace',
  components: ['engineOil'],
  triggers: [{ kind: 'everyHours', hours: 50, meter: 'engine', grid: null }],
  renews: [],
  minutes: 30,
  reference: '',
  note: '',
  windowHours: null,
  windowDays: null,
  ...over,
});
const BOOK: BookDto = {
  id: 'b',
  name: 'Verrick zero-turn',
  machineClass: 'zeroTurn',
  meter: 'engine',
  version: 4,
  machines: ['M-03', 'M-07'],
  items: [
    line('Oil', { components: ['engineOil', 'engineOilFilter'] }),
    line('Gadget', { action: 'inspect', components: [], component: 'gadget' }),
  ],
};

let server: Wire;
function open(book: BookDto | null = BOOK) {
  server = wire({}, ({ body }) => {
    const fields = body as BookFieldsDto;
    const items = fields.items.map((item) => ({ ...item, id: item.id ?? idOf(item.name) }));
    return { ...BOOK, ...fields, items, version: 5 };
  });
  showTo('crewLead', <BookEditor book={book} />);
}
const save = () => act(async () => fireEvent.click(screen.getByRole('button', { name: 'Save the book' })));
const sent = () => server.sent.map(({ body }) => body as BookFieldsDto & { version?: number });
const row = (name: string) => {
  const cell = screen.getByDisplayValue(name).closest('tr');
  if (!cell) throw new Error(`${name} stands in no row.`);
  return within(cell);
};
const cell = (name: string) => screen.getByRole<HTMLButtonElement>('button', { name });
const value = (label: string) => screen.getByLabelText<HTMLInputElement>(label).value;

describe('the chart of a book', () => {
  it('tells who follows it, and what each line has become', () => {
    open();
    expect(screen.getByText('M-03, M-07 follow it.')).toBeDefined();
    expect(row('Oil').getByText('every 50 h')).toBeDefined();
    expect(row('Oil').getByText(/^\d+ steps, \d+ min; looks at the oil$/)).toBeDefined();
    expect(row('Gadget').getByText('Was “gadget”: choose what that is.')).toBeDefined();
  });

  it('shows at once what another component makes of a line', () => {
    open();
    const before = row('Oil').getByText(/steps/).textContent;
    const pick = row('Oil').getByRole('combobox', { name: 'Done to: Oil' });
    act(() => pick.focus());
    fireEvent.keyDown(pick, { key: 'Backspace' });
    const after = row('Oil').getByText(/steps/).textContent;
    const minutes = (words: string | null) => Number(/(\d+) min/.exec(words ?? '')?.[1]);
    expect(minutes(after)).toBeLessThan(minutes(before));
  });

  it('sends a line of an older version as it came, until somebody chooses what it is', async () => {
    open();
    await save();
    const pick = row('Gadget').getByRole('combobox', { name: 'Done to: Gadget' });
    act(() => pick.focus());
    fireEvent.change(pick, { target: { value: 'lights' } });
    fireEvent.keyDown(pick, { key: 'Enter' });
    expect(screen.queryByText(/^Was “gadget”/)).toBeNull();
    await save();
    const [first, second] = sent();
    expect(first?.items[1]).toMatchObject({ id: idOf('Gadget'), components: [], component: 'gadget' });
    expect(second?.items[1]).toMatchObject({ id: idOf('Gadget'), components: ['lights'] });
    expect(second?.items[1]).not.toHaveProperty('component');
    // The second save stands on the version that the first one made.
    expect([first?.version, second?.version]).toEqual([4, 5]);
    expect(screen.getByText('Verrick zero-turn is saved.')).toBeDefined();
  });

  it('is walked and marked by keys alone', async () => {
    open();
    const start = cell('Oil, 50 h: every');
    act(() => start.focus());
    fireEvent.keyDown(start, { key: 'Delete' });
    expect(row('Oil').getByText('never by itself')).toBeDefined();
    fireEvent.keyDown(cell('Oil, 50 h: nothing'), { key: 'f' });
    fireEvent.keyDown(cell('Oil, 50 h: 1st'), { key: 'ArrowDown' });
    expect(document.activeElement).toBe(cell('Gadget, 50 h: every'));
    await save();
    expect(sent()[0]?.items[0]?.triggers).toEqual([{ kind: 'firstHours', hours: 50, meter: 'engine' }]);
  });

  it('takes a column more in its place, and says how one is typed', () => {
    open();
    const type = (text: string) => {
      fireEvent.change(screen.getByLabelText('Another column'), { target: { value: text } });
      fireEvent.click(screen.getByRole('button', { name: 'Add column' }));
    };
    type('soon');
    expect(screen.getByText('Type hours or a time: 50, 7 d, 6 m, 1 y.')).toBeDefined();
    expect(value('Another column')).toBe('soon');
    type('25');
    fireEvent.click(cell('Oil, 25 h: nothing'));
    expect(row('Oil').getByText('every 25 h')).toBeDefined();
  });
});

describe('a book that is refused', () => {
  it('says so at the line that is wrong before anything is sent, and keeps what was typed', async () => {
    open({ ...BOOK, items: [...BOOK.items, line('Oil', { id: idOf('other') })] });
    await type('Minutes: Gadget', 'a while');
    await press('Save the book');
    await screen.findByText('Some lines need correcting; they are marked.');
    const name = screen.getByLabelText('Name of line 2');
    expect(name).toBeInvalid();
    expect(name).toHaveAccessibleDescription('Give the minutes as a whole number, such as 30.');
    expect(screen.getByLabelText('Name of line 1')).toBeValid();
    expect(screen.getByLabelText('Minutes: Gadget')).toHaveValue('a while');
    // Once each line is right by itself, they are looked at beside each other.
    await type('Minutes: Gadget', '20');
    await press('Save the book');
    await waitFor(() =>
      expect(screen.getByLabelText('Name of line 3')).toHaveAccessibleDescription(
        '"Oil" stands in this book twice. Name one otherwise.',
      ),
    );
    expect(sent()).toEqual([]);
  });

  it('says also what concerns no line, such as a name that is taken', async () => {
    open(null);
    expect(screen.getByText('No machine follows it yet.')).toBeInTheDocument();
    await type('Book', BOOK.name);
    await type('Name of line 1', 'Oil');
    await userEvent.click(screen.getByRole('button', { name: 'Oil, 50 h: nothing' }));
    const pick = screen.getByRole('combobox', { name: 'Done to: Oil' });
    await userEvent.type(pick, 'engine oil{Enter}');
    const taken = {
      pointer: '#/name',
      code: 'taken',
      detail: 'There is a book of this name. Choose another.',
    };
    const early = {
      pointer: '#/items/0/triggers',
      code: 'tooEarly',
      detail: 'That is too early for this line.',
    };
    server.refuse({ detail: `${taken.detail} ${early.detail}`, errors: [taken, early] });
    await press('Save the book');
    await screen.findByText(`${taken.detail} Some lines need correcting; they are marked.`);
    expect(screen.getByLabelText('Name of line 1')).toHaveAccessibleDescription(early.detail);
    expect(screen.getByLabelText('Book')).toBeInvalid();
    server.refuse({ detail: 'Somebody else changed this book meanwhile.', status: 409 });
    await press('Save the book');
    await screen.findByText('Somebody else changed this book meanwhile.');
    expect(screen.getByLabelText('Book')).toHaveValue(BOOK.name);
    server.refuse(null);
    await type('Book', 'Verrick Z');
    await press('Save the book');
    await waitFor(() => expect(screen.queryByText('Not saved')).toBeNull());
    expect(sent().map(({ name }) => name)).toEqual([BOOK.name, BOOK.name, 'Verrick Z']);
  });
});
