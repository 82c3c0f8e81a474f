import { screen, waitFor, within } from '@testing-library/react';
import type { FitsDto, Role } from '@yugator/contracts';
import { DEFAULT_FIGURES, DEFAULT_RULES, PLAIN_CLIMATE } from '@yugator/core';
import { article } from '../testing/articles.js';
import { dueLine } from '../testing/fixtures.js';
import { machineDetail } from '../testing/machines.js';
import { choose, pickComponent, press, type } from '../testing/user.js';
import { showTo, wire } from '../testing/wire.js';
import type { Wire } from '../testing/wire.js';
import { Fits } from './Fits.js';

const id = (last: number) => `00000000-0000-7000-8000-00000000000${last}`;
const MEASURES = { height: 83, outside: 76, gasket: 62.5, thread: '3/4-16 UNF', bypass: null };
const FILTER = article({
  id: id(1),
  name: 'Black filter',
  kind: 'part',
  component: 'engineOilFilter',
  filter: MEASURES,
});
const SHORT = article({
  ...FILTER,
  id: id(2),
  name: 'Short filter',
  barcode: '777',
  filter: { ...MEASURES, height: 60 },
});
const TALL = article({
  ...FILTER,
  id: id(3),
  name: 'Tall filter',
  barcode: '888',
  filter: { ...MEASURES, height: 99 },
});
const DIESEL_OIL = article({
  id: id(4),
  name: 'Diesel oil',
  kind: 'fluid',
  unit: 'litre',
  component: 'engineOil',
  fluid: { kind: 'engineOil', grade: '15W-40', categories: ['API CK-4'] },
});
const FITS: FitsDto = {
  fits: [
    {
      component: 'engineOilFilter',
      articleId: FILTER.id,
      quantity: null,
      standing: 'original',
      reason: '',
      name: 'Black filter',
      unit: 'piece',
      onHand: 3,
    },
  ],
  underWarranty: false,
  version: 7,
};
const MACHINE = machineDetail({
  lines: [
    dueLine({ action: 'replace', components: ['engineOilFilter', 'sparkPlugs'] }),
    dueLine({ action: 'inspect', components: ['airFilter'] }),
  ],
});

let server: Wire;
function show(role: Role = 'mechanic', fits: FitsDto = FITS) {
  server = wire(
    {
      '/api/machines/m/fits': fits,
      '/api/articles': [FILTER, SHORT, TALL, DIESEL_OIL, article()],
      '/api/site/workshop': {
        rules: DEFAULT_RULES,
        figures: DEFAULT_FIGURES,
        panLitres: 8,
        extractorLitres: 6,
        usedOilLitres: 60,
        wasteLitres: { coolant: 20, brakeFluid: 5, fuel: 20 },
        climate: PLAIN_CLIMATE,
        version: 1,
      },
    },
    () => fits,
  );
  showTo(role, <Fits machine={MACHINE} />);
}

/** Opens the form for another article of a component. */
async function add(component: string, words: string) {
  await press('Add what fits');
  const dialog = within(await screen.findByRole('dialog'));
  await screen.findByLabelText('For the');
  await pickComponent('For the', component, words);
  return dialog;
}

describe('what fits a machine', () => {
  it('stands by component with what is on hand, and says what is missing', async () => {
    show('viewer');
    expect(await screen.findByText('Black filter')).toBeDefined();
    expect(screen.getByText('Engine oil filter')).toBeDefined();
    expect(screen.getByText(/nothing is said: spark plugs\./)).toBeDefined();
    expect(screen.queryByRole('button')).toBeNull();
  });

  it('is compared with the original as it is scanned: smaller is refused, taller is taken with its reason', async () => {
    show();
    await screen.findByText('Black filter');
    const dialog = await add('oil filter', 'engine oil filter');
    await type('Takes', '777{Enter}');
    await choose('It is', 'substitute');
    const table = within(dialog.getByRole('table', { name: 'Beside the original' }));
    expect(table.getByText('83 mm')).toBeDefined();
    expect(table.getByText('60 mm')).toBeDefined();
    expect(table.getByText('smaller')).toBeDefined();
    expect(dialog.getByText(/it may not be used/)).toBeDefined();
    await type('Takes', '888{Enter}');
    expect(dialog.getByText(/Equal or larger throughout/)).toBeDefined();
    await type('Why, where it is not the original', 'there is room');
    await press('Keep', dialog);
    await waitFor(() => expect(server.sent).toHaveLength(1));
    expect(server.sent[0]).toEqual({
      method: 'PUT',
      path: '/api/machines/m/fits',
      body: {
        version: 7,
        fits: [
          {
            component: 'engineOilFilter',
            articleId: FILTER.id,
            quantity: null,
            standing: 'original',
            reason: '',
          },
          {
            component: 'engineOilFilter',
            articleId: TALL.id,
            quantity: null,
            standing: 'substitute',
            reason: 'there is room',
          },
        ],
      },
    });
  });

  it('tells of an oil what the card says against it, and what the server refuses stays to be put right', async () => {
    show();
    await screen.findByText('Black filter');
    const dialog = await add('engine oil', 'engine oil');
    await type('Takes', 'Diesel{Enter}');
    expect(dialog.getByText(/for diesel engines alone; this one burns gasoline/)).toBeDefined();
    server.refuse({
      status: 422,
      detail: 'Diesel oil does not belong in the engine oil.',
      errors: [{ pointer: '#/fits/1/articleId', code: 'wrongFluid', detail: 'It does not belong there.' }],
    });
    await press('Keep', dialog);
    expect(await dialog.findByText(/Diesel oil does not belong/)).toBeDefined();
    expect(dialog.getByLabelText<HTMLInputElement>('Takes').value).toBe('Diesel oil');
  });

  it('is taken out again', async () => {
    show();
    await screen.findByText('Black filter');
    await press('Take out Black filter for the engine oil filter');
    await waitFor(() => expect(server.sent[0]?.body).toEqual({ fits: [], version: 7 }));
  });

  it('invites to say it where nothing is said', async () => {
    show('crewLead', { ...FITS, fits: [] });
    expect(await screen.findByText('Nothing is said of what fits it yet.')).toBeDefined();
    await press('Add what fits');
    // It begins with what the lines of the machine replace.
    expect((await screen.findByLabelText<HTMLInputElement>('For the')).value).toBe('engine oil filter');
  });
});
