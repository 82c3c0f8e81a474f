import type { ArticleDto, CountResultDto, CountSheetDto } from '@yugator/contracts';
import { faultsOf, fitActs } from '../testing/fitActs.js';
import type { Refused } from '../testing/fitActs.js';
import { yardOfFile } from '../testing/testApp.js';

const yard = yardOfFile('Europe/London');
const { article, receive } = fitActs(() => yard);

const count = (lines: CountSheetDto['lines'], more: object = {}) =>
  yard.ask<CountResultDto & Refused>('POST', '/api/counts', { as: 'mechanic', body: { lines, ...more } });
const onHand = async () => {
  const { body } = await yard.ask<ArticleDto[]>('GET', '/api/articles');
  return new Map(body.map((each) => [each.id, each]));
};

describe('a count of the shelf', () => {
  it('brings every line to what is there, and says what that is worth', async () => {
    const filter = await article({ name: 'Filter', priceMinor: 790 });
    const oil = await article({ name: 'Oil', kind: 'fluid', unit: 'litre', priceMinor: 640 });
    await receive(filter, 5);
    await receive(oil, 7.5);
    const { status, body } = await count(
      [
        { articleId: filter, counted: 3, booked: 5 },
        { articleId: oil, counted: 7.9, booked: 7.5 },
        { articleId: yard.crew.kit, counted: 5, booked: 5 },
      ],
      { note: 'Autumn count' },
    );
    expect([status, body]).toEqual([
      201,
      { counted: 3, differing: 2, missingMinor: 1580, besidesMinor: 256 },
    ]);
    const now = await onHand();
    expect(now.get(filter)).toMatchObject({
      onHand: 3,
      movements: [{ kind: 'counted', quantity: -2, by: 'mechanic', note: 'Autumn count' }, {}],
    });
    expect(now.get(oil)?.onHand).toBe(7.9);
    // What agreed with the book leaves no line in it.
    expect(now.get(yard.crew.kit)?.movements).toHaveLength(1);
  });

  it('books nothing where one line is wrong: what moved meanwhile is counted again', async () => {
    const filter = await article({ name: 'Filter' });
    await receive(filter, 5);
    const good = { articleId: yard.crew.kit, counted: 4, booked: 5 };
    await receive(filter, 1);
    const refused = await count([good, { articleId: filter, counted: 5, booked: 5 }]);
    expect([refused.status, faultsOf(refused.body)]).toEqual([422, [['#/lines/1/counted', 'moved']]]);
    expect(refused.body.detail).toMatch(/the book now says 6/);
    const wrong: [CountSheetDto['lines'], string][] = [
      [[good, { articleId: filter, counted: 1.5, booked: 6 }], 'notWhole'],
      [[good, { articleId: yard.crew.machine, counted: 1, booked: 0 }], 'unknown'],
    ];
    for (const [lines, code] of wrong) expect(faultsOf((await count(lines)).body)[0]?.[1]).toBe(code);
    expect((await count([good, good])).status).toBe(422);
    expect((await count([])).status).toBe(422);
    expect((await onHand()).get(yard.crew.kit)?.onHand).toBe(5);
  });

  it('is booked once, however often it is sent', async () => {
    const options = {
      as: 'mechanic',
      key: '00000000-0000-4000-8000-00000000c0de',
      body: { lines: [{ articleId: yard.crew.kit, counted: 2, booked: 5 }] },
    } as const;
    const first = await yard.ask<CountResultDto>('POST', '/api/counts', options);
    const again = await yard.ask<CountResultDto>('POST', '/api/counts', options);
    expect([first.status, again.body]).toEqual([201, first.body]);
    expect((await onHand()).get(yard.crew.kit)).toMatchObject({
      onHand: 2,
      movements: [{ quantity: -3 }, {}],
    });
  });

  it('is not of operators', async () => {
    const body = { lines: [{ articleId: yard.crew.kit, counted: 2, booked: 5 }] };
    expect((await yard.ask('POST', '/api/counts', { as: 'operator', body })).status).toBe(403);
  });
});
