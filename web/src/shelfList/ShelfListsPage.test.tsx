import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import type { ListLineDto, ListResultDto } from '@yugator/contracts';
import { article } from '../testing/articles.js';
import { press } from '../testing/user.js';
import { showTo, wire } from '../testing/wire.js';
import { ShelfListsPage } from './ShelfListsPage.js';

const NEW: ListLineDto = { line: 2, does: 'new', subject: 'Plug', changes: [], faults: [] };
const RESULT: ListResultDto = {
  lines: [
    NEW,
    {
      line: 4,
      does: 'change',
      subject: 'Oil',
      changes: [{ heading: 'price (GBP)', from: '9.50', to: '9.90' }],
      faults: [],
    },
  ],
  counts: { new: 1, change: 1, same: 3, fault: 0 },
  shown: 'digest',
  written: false,
};
const CSV = 'number;name\r\nP-1;Plug\r\n\r\nO-1;Oil\r\n';

const region = () => within(screen.getByRole('region', { name: 'Articles' }));
function choose(text: string, name = 'march.csv'): void {
  const file = new File([text], name, { type: 'text/csv' });
  // jsdom has no bytes of a file.
  Object.assign(file, { arrayBuffer: () => Promise.resolve(new TextEncoder().encode(text).buffer) });
  fireEvent.change(region().getByLabelText('Articles as CSV'), { target: { files: [file] } });
}

test('a list says what it does line by line, and is taken in as it was shown', async () => {
  const server = wire({ '/api/articles': [] }, (sent) =>
    (sent.body as { shown?: string }).shown ? { ...RESULT, written: true } : RESULT,
  );
  showTo('crewLead', <ShelfListsPage />);
  choose(CSV);
  const shown = within(await screen.findByRole('region', { name: 'What march.csv does' }));
  expect(shown.getByRole('status')).toHaveTextContent(
    '1 line is new; 1 line changes something; 3 lines say what is known. Nothing is written yet.',
  );
  expect(shown.getAllByRole('row').map((row) => row.textContent)).toEqual([
    'LineWhat comes of itArticleIn words',
    '2NewPlug',
    '4ChangesOilprice (GBP): 9.50 → 9.90',
  ]);
  await press('Take it in');
  await screen.findByText('march.csv is taken in: 1 new, 1 changed.');
  expect(server.sent.map(({ body }) => body)).toEqual([
    { rows: [['number', 'name'], ['P-1', 'Plug'], [''], ['O-1', 'Oil']] },
    { rows: [['number', 'name'], ['P-1', 'Plug'], [''], ['O-1', 'Oil']], shown: 'digest' },
  ]);
  expect(screen.queryByRole('region', { name: 'What march.csv does' })).toBeNull();
});

test('what is wrong stands at its line, and cannot be taken in', async () => {
  const wrong: ListLineDto = { ...NEW, does: 'fault', subject: '', faults: ['kind: "screw" cannot be.'] };
  const counts = { new: 0, change: 0, same: 0, fault: 1 };
  wire({ '/api/articles': [] }, () => ({ ...RESULT, lines: [wrong], counts }));
  showTo('crewLead', <ShelfListsPage />);
  choose(CSV);
  expect(await screen.findByText('kind: "screw" cannot be.')).toBeVisible();
  expect(screen.getByText('Nothing of it can be taken in yet')).toBeVisible();
  expect(screen.queryByRole('button', { name: 'Take it in' })).toBeNull();
  await press('Close');
  expect(screen.queryByText('kind: "screw" cannot be.')).toBeNull();
});

test('a thousand lines come a hundred at a time, and can be looked through by what comes of them', async () => {
  const lines = Array.from({ length: 1000 }, (_, at) => ({
    ...NEW,
    line: at + 2,
    does: at === 777 ? ('change' as const) : ('new' as const),
  }));
  wire({ '/api/articles': [] }, () => ({
    ...RESULT,
    lines,
    counts: { new: 999, change: 1, same: 0, fault: 0 },
  }));
  showTo('crewLead', <ShelfListsPage />);
  choose(CSV);
  await screen.findByText(/999 lines are new/);
  expect(screen.getAllByRole('row')).toHaveLength(101);
  await press('100 more of 900');
  expect(screen.getAllByRole('row')).toHaveLength(201);
  fireEvent.mouseDown(screen.getByRole('combobox', { name: 'Lines' }));
  fireEvent.click(screen.getByRole('option', { name: 'Changes' }));
  await waitFor(() => expect(screen.getAllByRole('row')).toHaveLength(2));
  expect(screen.getAllByRole('row')[1]).toHaveTextContent('779Changes');
});

test('a mechanic saves lists, and takes none in', () => {
  wire({ '/api/articles': [] });
  showTo('mechanic', <ShelfListsPage />);
  expect(screen.getAllByRole('button', { name: 'Save as CSV' })).toHaveLength(4);
  expect(screen.queryByRole('button', { name: 'Read a CSV' })).toBeNull();
});

test('labels are printed for the whole shelf or a place, in the order in which one walks along it', async () => {
  const at = (id: string, place: string) => article({ id, name: id, place });
  wire({ '/api/articles': [at('a', 'Bin 10'), at('b', 'Bin 2'), at('c', '')] });
  showTo('mechanic', <ShelfListsPage />);
  const link = () => screen.getByRole('link', { name: /^A4/ }).getAttribute('href');
  expect(link()).toBe('/api/shelf-paper/labels.pdf?paper=a4');
  fireEvent.mouseDown(await screen.findByRole('combobox', { name: 'Of which place' }));
  expect(screen.getAllByRole('option').map((option) => option.textContent)).toEqual([
    'the whole shelf',
    'Bin 2',
    'Bin 10',
  ]);
  fireEvent.click(screen.getByRole('option', { name: 'Bin 10' }));
  expect(link()).toBe('/api/shelf-paper/labels.pdf?paper=a4&place=Bin%2010');
});
