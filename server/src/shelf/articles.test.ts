import type { ArticleDto } from '@yugator/contracts';
import { FILTER, fitActs, faultsOf } from '../testing/fitActs.js';
import type { Refused } from '../testing/fitActs.js';
import { yardOfFile } from '../testing/testApp.js';

const yard = yardOfFile('Europe/London');
const { article, filter } = fitActs(() => yard);

describe('an article', () => {
  it('keeps what its label says and what was measured; what is left out stays', async () => {
    const id = await filter('Black filter', {}, [{ maker: 'Verrick', number: 'VF 1', supersededBy: '' }]);
    const change = async (over: object) =>
      yard.ask<ArticleDto & Refused>('PUT', `/api/articles/${id}`, {
        as: 'mechanic',
        body: { name: 'Black filter', leastOnHand: 2, priceMinor: 700, contents: [], ...over },
      });
    const placed = await change({ number: 'F-9', barcode: '4006', place: 'Rack B', version: 1 });
    expect(placed.body).toMatchObject({ number: 'F-9', barcode: '4006', place: 'Rack B', filter: FILTER });
    expect((await change({ version: 2 })).body).toMatchObject({
      number: 'F-9',
      makerNumbers: [{ number: 'VF 1' }],
    });
    // No longer bought: nothing is wanted of it.
    expect((await change({ isRetired: true, version: 3 })).body).toMatchObject({
      isRetired: true,
      state: 'none',
    });
    expect((await change({ isRetired: false, version: 4 })).body.state).toBe('out');
    const wrong = await change({ component: 'engineOil', version: 5 });
    expect(faultsOf(wrong.body)).toEqual([['#/component', 'doesNotGo']]);
  });

  it('shares neither name, number nor code with another', async () => {
    await article({ name: 'One', number: 'A1', barcode: '111' });
    const fields = { kind: 'part', unit: 'piece', leastOnHand: 0, priceMinor: 0 };
    const taken = async (over: object) =>
      faultsOf((await yard.ask<Refused>('POST', '/api/articles', { body: { ...fields, ...over } })).body);
    expect(await taken({ name: 'one' })).toEqual([['#/name', 'taken']]);
    expect(await taken({ name: 'Two', number: 'a1' })).toEqual([['#/number', 'taken']]);
    expect(await taken({ name: 'Two', barcode: 'A1' })).toEqual([['#/barcode', 'taken']]);
    expect(await taken({ name: 'Two', number: '', barcode: '' })).toEqual([]);
    expect(await taken({ name: 'Three', number: '', barcode: '' })).toEqual([]);
  });

  it.each([
    [
      'a grade on a part',
      { kind: 'part', fluid: { kind: 'engineOil', grade: '10W-30', categories: [] } },
      '#/fluid',
    ],
    [
      'gear oil of an engine category',
      { kind: 'fluid', fluid: { kind: 'gearOil', grade: '', categories: ['API SN'] } },
      '#/fluid/categories',
    ],
    [
      'a category that is none',
      { kind: 'fluid', fluid: { kind: 'gearOil', grade: '', categories: ['API XX'] } },
      '#/fluid/categories',
    ],
    ['measures of a filter without saying which', { kind: 'part', filter: FILTER }, '#/component'],
    ['a component of a kit', { kind: 'kit', component: 'airFilter' }, '#/component'],
    [
      'a height below nothing',
      { kind: 'part', component: 'airFilter', filter: { ...FILTER, height: -1 } },
      '#/filter/height',
    ],
  ])('does not take %s', async (_what, over, pointer) => {
    const fields = { name: 'Thing', unit: 'piece', leastOnHand: 0, priceMinor: 0, ...over };
    const { status, body } = await yard.ask<Refused>('POST', '/api/articles', { body: fields });
    expect([status, body.errors?.[0]?.pointer]).toEqual([422, pointer]);
  });
});
