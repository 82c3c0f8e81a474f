import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { article } from '../testing/articles.js';
import { choose, pickComponent, press, type } from '../testing/user.js';
import { showTo, wire } from '../testing/wire.js';
import { NOTHING_SAID } from './articleForm.js';
import { ShelfPage } from './ShelfPage.js';

const PLUG_ID = '00000000-0000-7000-8000-000000000011';
const FILTER_ID = '00000000-0000-7000-8000-000000000012';
const OIL = article({
  id: 'o',
  name: 'Engine oil 10W-30',
  kind: 'fluid',
  unit: 'litre',
  leastOnHand: 5,
  priceMinor: 645,
  onHand: 1.51,
  state: 'low',
  movements: [
    {
      at: '2027-05-12T10:00:00Z',
      quantity: -1.99,
      valueMinor: -1284,
      kind: 'drawn',
      shed: null,
      by: 'Ansel',
      machineTag: 'M-07',
      note: '',
      voided: false,
    },
  ],
});
const ANSWERS = {
  '/api/articles': [article({}), OIL],
  '/api/used-oil': { containers: [], entries: [] },
};

describe('the shelf', () => {
  it('says what runs low, what a litre costs, and what came and went', async () => {
    wire(ANSWERS);
    showTo('viewer', <ShelfPage />);
    expect(await screen.findByText('1 of 2 articles is low or out')).toBeDefined();
    const fluids = within(screen.getByRole('region', { name: 'Fluids' }));
    expect(fluids.getByText('£6.45 a litre')).toBeDefined();
    expect(fluids.getByText('Low')).toBeDefined();
    expect(fluids.getByText(/used on M-07/)).toBeDefined();
    expect(fluids.queryByRole('button')).toBeNull();
    expect(screen.queryByRole('region', { name: 'Parts' })).toBeNull();
  });

  it('takes in what came, as pieces or litres; a slip is named and what was typed stays', async () => {
    const { sent } = wire(ANSWERS, () => article({ onHand: 8 }));
    showTo('mechanic', <ShelfPage />);
    fireEvent.click(await screen.findByRole('button', { name: 'Came in: Oil change kit' }));
    const dialog = within(await screen.findByRole('dialog'));
    const field = dialog.getByLabelText<HTMLInputElement>('Came in (pieces)');
    fireEvent.change(field, { target: { value: 'five' } });
    fireEvent.click(dialog.getByRole('button', { name: 'Book it' }));
    expect(await dialog.findByText('Type how much, as a number.')).toBeDefined();
    expect(field.value).toBe('five');
    fireEvent.change(field, { target: { value: '5' } });
    fireEvent.click(dialog.getByRole('button', { name: 'Book it' }));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toEqual({
      method: 'POST',
      path: '/api/articles/k/movements',
      body: { kind: 'received', quantity: 5, container: null, priceMinor: 2890, note: '' },
    });
  });

  it('speaks quarts and gallons to people who think in them, and takes a drum of 55 gallons', async () => {
    const { sent } = wire(ANSWERS, () => OIL);
    showTo('mechanic', <ShelfPage />, { unitSystem: 'us' });
    const fluids = within(await screen.findByRole('region', { name: 'Fluids' }));
    // 1.51 L = 1.596 qt, 1.99 L = 2.103 qt; £6.45 a litre × 0.946 353 L (NIST Handbook 44, appendix C).
    expect(fluids.getByText('1.6 qt')).toBeVisible();
    expect(fluids.getByText('-2.1 qt')).toBeInTheDocument();
    expect(fluids.getByText('£6.10 a quart')).toBeVisible();
    await press('Came in: Engine oil 10W-30');
    const dialog = within(await screen.findByRole('dialog'));
    await type('Came in (qt)', '55 gal', dialog);
    expect(dialog.getByText('That is 220 qt.')).toBeVisible();
    await press('Book it', dialog);
    await waitFor(() => expect(sent[0]?.body).toMatchObject({ kind: 'received', quantity: 208.198 }));
  });

  it('takes in containers at what was paid, and says what that comes to', async () => {
    const lots = [{ left: 1.51, leftMinor: 974, container: 5 }];
    const { sent } = wire({ ...ANSWERS, '/api/articles': [{ ...OIL, lots }] }, () => OIL);
    showTo('mechanic', <ShelfPage />);
    expect(await screen.findByText(/in an open one of 5/)).toBeVisible();
    await press('Came in: Engine oil 10W-30');
    const dialog = within(await screen.findByRole('dialog'));
    // As it came last time.
    expect(dialog.getByLabelText<HTMLInputElement>('Each container holds (L)').value).toBe('5');
    await type('Came in (L)', '20', dialog);
    await type(/Paid for a litre/, '7.00', dialog);
    expect(dialog.getByText(/4 containers of 5.L, £140.00 in all/)).toBeVisible();
    await press('Book it', dialog);
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]?.body).toEqual({
      kind: 'received',
      quantity: 20,
      container: 5,
      priceMinor: 700,
      note: '',
    });
  });

  it('books what is lent with to whom, and what the server refuses stands at its field', async () => {
    const server = wire(ANSWERS, () => article({ onHand: 2 }));
    showTo('mechanic', <ShelfPage />);
    await screen.findByText('Oil change kit');
    await press('Went away: Oil change kit');
    const dialog = within(await screen.findByRole('dialog'));
    await choose('What became of it', 'Lent');
    server.refuse({
      status: 422,
      detail: 'd',
      errors: [{ pointer: '#/note', code: 'notSaid', detail: 'Say to whom it is lent.' }],
    });
    await press('Book it', dialog);
    expect(await dialog.findByText('Say to whom it is lent.')).toBeVisible();
    server.refuse(null);
    await type('To whom', 'South shed', dialog);
    await press('Book it', dialog);
    await waitFor(() => expect(server.sent).toHaveLength(2));
    expect(server.sent[1]?.body).toEqual({ kind: 'lent', quantity: 1, note: 'South shed' });
  });

  it('asks for a count where more was used than ever came in', async () => {
    wire({ ...ANSWERS, '/api/articles': [article({ onHand: -2, state: 'beyond', lots: [] }), OIL] });
    showTo('mechanic', <ShelfPage />);
    expect(await screen.findByText('1 of 2 articles is low or out, 1 to be counted')).toBeVisible();
    expect(screen.getByText('Count it')).toBeVisible();
    expect(screen.getByText(/More was used than ever came in/)).toBeVisible();
  });

  it('puts a new article on with its price in money', async () => {
    const { sent } = wire(ANSWERS, () => article({}));
    showTo('crewLead', <ShelfPage />);
    fireEvent.click(await screen.findByRole('button', { name: 'New article' }));
    const dialog = within(await screen.findByRole('dialog'));
    fireEvent.change(dialog.getByLabelText('Name'), { target: { value: 'Spark plug' } });
    fireEvent.change(dialog.getByLabelText(/Price of one/), { target: { value: '3,80' } });
    fireEvent.click(dialog.getByRole('button', { name: 'Put it on the shelf' }));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]?.body).toMatchObject({ name: 'Spark plug', kind: 'part', priceMinor: 380 });
  });
});

describe('a kit', () => {
  const PLUG = article({ id: PLUG_ID, name: 'Spark plug', kind: 'part', priceMinor: 380 });
  const FILTER = article({
    id: FILTER_ID,
    name: 'Oil filter',
    kind: 'part',
    priceMinor: 790,
    barcode: 'QF 100',
  });
  const shelf = { ...ANSWERS, '/api/articles': [article({ priceMinor: 2000 }), PLUG, FILTER] };

  it('is said to hold articles of the shelf, each worth its share of its price', async () => {
    const { sent } = wire(shelf, () => article({}));
    showTo('mechanic', <ShelfPage />);
    await screen.findByText('Oil change kit');
    await press('Change: Oil change kit');
    expect(screen.getByText(/it is used whole/)).toBeDefined();
    await choose('It holds', /^Spark plug/);
    await type('Pieces of Spark plug', '2');
    // As a scanner would: the code, and Enter.
    await type('It holds', 'QF-100{Enter}');
    // 7.60 of plugs and a filter of 7.90 for 20.00: by hand 9.81 and 10.19.
    expect(screen.getByText(/worth £9.81 of it/)).toBeDefined();
    expect(screen.getByText(/worth £10.19 of it/)).toBeDefined();
    expect(screen.getByText(/Loose it would be £15.50/)).toBeDefined();
    await press('Keep');
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toEqual({
      method: 'PUT',
      path: '/api/articles/k',
      body: {
        name: 'Oil change kit',
        leastOnHand: 2,
        priceMinor: 2000,
        version: 1,
        ...NOTHING_SAID,
        isRetired: false,
        contents: [
          { articleId: PLUG_ID, quantity: 2 },
          { articleId: FILTER_ID, quantity: 1 },
        ],
      },
    });
  });

  it('tells what it holds, and what is refused stands at its line', async () => {
    const holds = {
      articleId: PLUG_ID,
      name: 'Spark plug',
      unit: 'piece' as const,
      quantity: 2,
      priceMinor: 380,
    };
    const server = wire({ ...shelf, '/api/articles': [article({ contents: [holds] }), PLUG] });
    showTo('crewLead', <ShelfPage />);
    expect(await screen.findByText('2 × Spark plug')).toBeDefined();
    server.refuse({
      status: 422,
      detail: 'Pieces are whole.',
      errors: [
        {
          pointer: '#/contents/0/quantity',
          code: 'notWhole',
          detail: 'Pieces are whole: type a whole number.',
        },
      ],
    });
    await press('Change: Oil change kit');
    await type('Pieces of Spark plug', '1.5');
    await press('Keep');
    expect(await screen.findByText('Pieces are whole: type a whole number.')).toBeDefined();
    await press('Take out Spark plug');
    expect(screen.getByText(/it is used whole/)).toBeDefined();
  });
});

describe('a longer shelf', () => {
  const parts = Array.from({ length: 9 }, (_, at) =>
    article({ id: `p${at}`, name: `Washer ${at}`, kind: 'part', number: `W-${at}`, place: 'Rack B' }),
  );
  const retired = article({ id: 'r', name: 'Old filter', kind: 'part', isRetired: true });

  it('is searched by name, number or code; what is no longer bought stands by itself', async () => {
    wire({ ...ANSWERS, '/api/articles': [...parts, retired] });
    showTo('mechanic', <ShelfPage />);
    expect(await screen.findByText('Washer 8')).toBeDefined();
    expect(
      within(screen.getByRole('region', { name: 'No longer bought' })).getByText('Old filter'),
    ).toBeDefined();
    await type('Look for', 'w 3');
    expect(screen.getByText('Washer 3')).toBeDefined();
    expect(screen.queryByText('Washer 8')).toBeNull();
    expect(screen.getByText('W-3 · Rack B')).toBeDefined();
    await type('Look for', 'gasket');
    expect(screen.getByText(/Nothing of that name/)).toBeDefined();
  });

  it('of a thousand articles is shown a hundred at a time, and searched whole', async () => {
    const many = Array.from({ length: 1000 }, (_, at) => article({ id: `k${at}`, name: `Kit ${at}.` }));
    wire({ ...ANSWERS, '/api/articles': many });
    showTo('viewer', <ShelfPage />);
    const kits = within(await screen.findByRole('region', { name: 'Kits' }));
    const rows = () => kits.getAllByRole('row').length - 1;
    expect(rows()).toBe(100);
    await press('100 more of 900');
    expect(rows()).toBe(200);
    fireEvent.change(screen.getByLabelText('Look for'), { target: { value: 'Kit 987.' } });
    expect(rows()).toBe(1);
    expect(kits.getByText('Kit 987.')).toBeVisible();
  });

  it('keeps what the label of a new fluid says', async () => {
    const { sent } = wire(ANSWERS, () => article({}));
    showTo('crewLead', <ShelfPage />);
    await screen.findByText('Oil change kit');
    await press('New article');
    const dialog = within(await screen.findByRole('dialog'));
    await type('Name', 'Oil 10W-30', dialog);
    await choose('Kind', 'Fluid');
    await choose('Counted in', 'Volume');
    await choose('Kind of fluid', 'engine oil');
    await type('Grade', '10W-30', dialog);
    await userEvent.type(dialog.getByLabelText('Categories'), 'CK-4{Enter}{Escape}');
    await press('Put it on the shelf', dialog);
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]?.body).toMatchObject({
      kind: 'fluid',
      unit: 'litre',
      fluid: { kind: 'engineOil', grade: '10W-30', categories: ['API CK-4'] },
      filter: null,
    });
  });

  it('keeps what was measured on a filter, and the numbers of its makers', async () => {
    const { sent } = wire(ANSWERS, () => article({}));
    showTo('crewLead', <ShelfPage />);
    await screen.findByText('Oil change kit');
    await press('New article');
    const dialog = within(await screen.findByRole('dialog'));
    await type('Name', 'Oil filter', dialog);
    await pickComponent('It is for the', 'engine oil filter', 'engine oil filter');
    await type('Height (mm)', '3 in', dialog);
    await type('Thread', '3/4-16 UNF', dialog);
    await press('Add a number', dialog);
    await type('Maker', 'Quillon', dialog);
    await type('Number', 'QF 1004', dialog);
    await press('Put it on the shelf', dialog);
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]?.body).toMatchObject({
      component: 'engineOilFilter',
      // 3 in = 76.2 mm (NIST Handbook 44, appendix C).
      filter: { height: 76.2, outside: null, gasket: null, thread: '3/4-16 UNF', bypass: null },
      makerNumbers: [{ maker: 'Quillon', number: 'QF 1004', supersededBy: '' }],
    });
  });
});
