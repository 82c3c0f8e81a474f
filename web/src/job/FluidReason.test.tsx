import { screen } from '@testing-library/react';
import { useQuery } from '@tanstack/react-query';
import type { Role, SignOffDto } from '@yugator/contracts';
import { useForm } from 'react-hook-form';
import { shelfQueries } from '../shelf/shelfQueries.js';
import { article } from '../testing/articles.js';
import { item, job } from '../testing/jobs.js';
import { showTo, wire } from '../testing/wire.js';
import { FluidReason } from './FluidReason.js';

const PETROL = article({
  id: 'petrol',
  name: 'Petrol oil',
  kind: 'fluid',
  unit: 'litre',
  fluid: { kind: 'engineOil', grade: '10W-30', categories: ['API SN'] },
});
const HOLDS = {
  articleId: 'petrol',
  name: 'Petrol oil',
  unit: 'litre' as const,
  quantity: 2,
  priceMinor: 640,
};
const KIT = article({ id: 'kit', contents: [HOLDS] });

const plain = job();
/** A diesel whose oil was changed. */
const DIESEL = job({
  items: [item('oil', 'done')],
  setUp: { ...plain.setUp, fuel: 'diesel' },
});

async function show(role: Role, draws: SignOffDto['draws'], of = DIESEL) {
  wire({ '/api/articles': [PETROL, KIT] });
  function Form() {
    const form = useForm<SignOffDto>({ defaultValues: { draws, fluidReason: '' } });
    const { data } = useQuery(shelfQueries.list());
    return (
      <>
        <FluidReason form={form} job={of} />
        {data ? <p>The shelf is read</p> : null}
      </>
    );
  }
  showTo(role, <Form />);
  await screen.findByText('The shelf is read');
}

const LOOSE = [{ articleId: 'petrol', quantity: 2 }];

describe('a fluid at the sign-off', () => {
  it('that does not belong is named with why; the crew lead is asked why it was used', async () => {
    await show('crewLead', LOOSE);
    expect(await screen.findByText(/for gasoline engines alone; this is a diesel/)).toBeDefined();
    expect(screen.getByText('Petrol oil')).toBeDefined();
    expect(screen.getByLabelText('Why it was used all the same')).toBeDefined();
  });

  it('is named to a mechanic, who cannot answer for it', async () => {
    await show('mechanic', LOOSE);
    expect(await screen.findByText(/The crew lead alone may go on with it/)).toBeDefined();
    expect(screen.queryByLabelText('Why it was used all the same')).toBeNull();
  });

  it('is seen in an opened kit too, unless all of it is left', async () => {
    await show('mechanic', [{ articleId: 'kit', quantity: 1 }]);
    expect(await screen.findByText('Petrol oil')).toBeDefined();
  });

  it.each<[string, SignOffDto['draws'], typeof DIESEL]>([
    [
      'what is left of a kit',
      [{ articleId: 'kit', quantity: 1, left: [{ articleId: 'petrol', quantity: 2 }] }],
      DIESEL,
    ],
    ['what suits', LOOSE, { ...DIESEL, setUp: plain.setUp }],
    ['nothing', [], DIESEL],
  ])('is not asked about for %s', async (_what, draws, of) => {
    await show('crewLead', draws, of);
    expect(screen.queryByText('Petrol oil')).toBeNull();
    expect(screen.queryByLabelText('Why it was used all the same')).toBeNull();
  });
});
