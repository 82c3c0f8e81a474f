import type { BookDto, MachineDetailDto, ProblemDto } from '@yugator/contracts';
import { yardOfFile } from '../testing/testApp.js';

const yard = yardOfFile();

type Answered<T> = T & Omit<ProblemDto, 'status'>;
const put = <T>(path: string, body: object, method = 'PUT') =>
  yard.ask<Answered<T>>(method, `/api${path}`, { body });

describe('a service book', () => {
  const line = (name: string, triggers: object[], over = {}) => ({
    name,
    action: 'replace',
    component: name.toLowerCase(),
    triggers,
    renews: [],
    minutes: 10,
    reference: '',
    note: '',
    ...over,
  });
  const every = (hours: number) => ({ kind: 'everyHours', hours, meter: 'engine', grid: null });
  const book = async () => (await yard.ask<BookDto>('GET', `/api/books/${yard.crew.book}`)).body;

  it('is written anew and followed at once; a line that is dropped stays in the records', async () => {
    const before = await book();
    expect(before).toMatchObject({ version: 1, machines: ['T-1', 'T-2'] });
    const [oil] = before.items;
    const { name, machineClass, meter, version } = before;
    const fields = { name, machineClass, meter, version };
    const written = await put<BookDto>(`/books/${yard.crew.book}`, {
      ...fields,
      items: [
        { ...oil, name: 'Oil and filter', triggers: [every(75)] },
        line('Oil filter', [{ kind: 'everyNth', n: 2, itemId: 'Oil and filter', everyTimeAboveHours: null }]),
      ],
    });
    expect(written.body.items.map(({ name }) => name)).toEqual(['Oil and filter', 'Oil filter']);
    expect(written.body.items[1]?.triggers[0]).toMatchObject({ kind: 'everyNth', itemId: 'Oil and filter' });
    const { body: follower } = await yard.ask<MachineDetailDto>('GET', `/api/machines/${yard.crew.machine}`);
    const { lines } = follower;
    // The line kept its id under its new name; grease is gone; the filter goes with the second oil: 75 + 75.
    expect(lines.find(({ itemId }) => itemId === yard.crew.oil)).toMatchObject({
      itemName: 'Oil and filter',
      limits: [{ at: 75 }],
    });
    expect(lines.find(({ itemName }) => itemName === 'Oil filter')?.limits[0]).toMatchObject({ at: 150 });
    expect(lines).toHaveLength(2);
    expect((await put(`/books/${yard.crew.book}`, { ...fields, items: [] })).status).toBe(409);
  });

  it('is refused with every fault of every line, and nothing of it is written', async () => {
    const { status, body } = await put<BookDto>(
      '/books',
      {
        name: 'Test book',
        machineClass: 'zeroTurn',
        meter: 'engine',
        items: [
          line('Oil', [every(50)]),
          line('Oil', [every(50)]),
          line('Filter', [{ kind: 'everyNth', n: 2, itemId: 'Soap', everyTimeAboveHours: null }], {
            renews: ['Water'],
          }),
        ],
      },
      'POST',
    );
    expect(status).toBe(422);
    expect(body.errors?.map(({ pointer, code }) => [pointer, code])).toEqual([
      ['#/items/1/name', 'repeated'],
      ['#/items/2/triggers', 'unknownLine'],
      ['#/items/2/renews', 'unknownLine'],
      ['#/name', 'taken'],
    ]);
    expect((await yard.ask<BookDto[]>('GET', '/api/books')).body).toHaveLength(1);
  });

  it('goes only when no machine follows it', async () => {
    expect((await put(`/books/${yard.crew.book}`, {}, 'DELETE')).status).toBe(409);
    const made = await put<BookDto>(
      '/books',
      { name: 'Other', machineClass: 'zeroTurn', meter: 'engine', items: [line('Oil', [every(50)])] },
      'POST',
    );
    expect((await put(`/books/${made.body.id}`, {}, 'DELETE')).status).toBe(204);
  });
});

describe('an item of a machine of its own', () => {
  it('is due as any other, keeps to its machine, and goes again', async () => {
    const path = `/machines/${yard.crew.machine}/items`;
    const beacon = {
      name: 'Beacon',
      action: 'inspect',
      component: 'beacon',
      renews: [],
      minutes: 5,
      reference: '',
      note: '',
      triggers: [{ kind: 'everyHours', hours: 70, meter: 'engine', grid: null }],
    };
    const { body } = await put<MachineDetailDto>(path, { items: [beacon], version: 1 });
    // New at 0 h: due at 70; it has 60.
    expect(body.lines.find(({ itemName }) => itemName === 'Beacon')).toMatchObject({
      bookName: null,
      limits: [{ at: 70, left: 10 }],
    });
    const other = await yard.ask<MachineDetailDto>('GET', `/api/machines/${yard.crew.otherMachine}`);
    expect(other.body.lines).toHaveLength(2);
    const refused = await put(path, { items: [{ ...beacon, triggers: [], component: '' }], version: 2 });
    expect(refused.body.errors?.map(({ pointer }) => pointer)).toEqual([
      '#/items/0/component',
      '#/items/0/triggers',
    ]);
    expect((await put<MachineDetailDto>(path, { items: [], version: 2 })).body.lines).toHaveLength(2);
  });
});
