import { screen } from '@testing-library/react';
import { SignOffDto } from '@yugator/contracts';
import type { KitPartDto } from '@yugator/contracts';
import { useDtoForm } from '../form/useDtoForm.js';
import { article } from '../testing/articles.js';
import { choose, type } from '../testing/user.js';
import { showTo } from '../testing/wire.js';
import { LeftOvers } from './LeftOvers.js';

const PLUG = '00000000-0000-7000-8000-000000000011';
const OIL = '00000000-0000-7000-8000-000000000012';
const part = (articleId: string, name: string, unit: 'piece' | 'litre', quantity: number): KitPartDto => ({
  articleId,
  name,
  unit,
  quantity,
  priceMinor: 380,
});
const KIT = article({
  contents: [part(PLUG, 'Spark plug', 'piece', 2), part(OIL, 'Oil', 'litre', 1.9)],
});

/** The part of a sign-off that says what is left, with what would be sent. */
function Form({ kits }: { kits: number }) {
  const form = useDtoForm<SignOffDto>(SignOffDto, { draws: [{ articleId: 'k', quantity: kits }] });
  return (
    <>
      <LeftOvers form={form} kit={KIT} index={0} />
      <output>{JSON.stringify(form.watch('draws.0.left') ?? null)}</output>
    </>
  );
}

const left = (): unknown => JSON.parse(screen.getByRole('status').textContent ?? '');

it('asks of each part what is left, and says nothing of what is used up', async () => {
  showTo('mechanic', <Form kits={1} />);
  expect(left()).toBeNull();
  await choose('Left: Spark plug', '2 of 2');
  await type('Left: Oil (L)', '0.2');
  expect(left()).toEqual([
    { articleId: PLUG, quantity: 2 },
    { articleId: OIL, quantity: 0.2 },
  ]);
  await choose('Left: Spark plug', 'none');
  expect(left()).toEqual([{ articleId: OIL, quantity: 0.2 }]);
});

it('of two kits twice as much can be left', async () => {
  showTo('mechanic', <Form kits={2} />);
  await choose('Left: Spark plug', '3 of 4');
  expect(left()).toEqual([{ articleId: PLUG, quantity: 3 }]);
});

it('of more than a dozen pieces the figure is typed', async () => {
  showTo('mechanic', <Form kits={8} />);
  await type('Left: Spark plug, of 16', '14');
  expect(left()).toEqual([{ articleId: PLUG, quantity: 14 }]);
  await type('Left: Spark plug, of 16', '');
  expect(left()).toEqual([]);
});
