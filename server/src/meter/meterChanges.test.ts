import type { MachineDetailDto, ProblemDto, ReadingDto } from '@yugator/contracts';
import { testApp } from '../testing/testApp.js';
import type { TestApp } from '../testing/testApp.js';

let yard: TestApp;
beforeEach(async () => {
  yard = await testApp();
});
afterEach(() => yard.close());

type Answered<T> = T & Omit<ProblemDto, 'status'>;
const machine = async () =>
  (await yard.ask<MachineDetailDto>('GET', `/api/machines/${yard.crew.machine}`)).body;
const put = <T>(path: string, body: object, method = 'PUT') =>
  yard.ask<Answered<T>>(method, `/api${path}`, { body });

describe('a meter', () => {
  it('that is replaced counts on, and what is due stays due where it was', async () => {
    const path = `/machines/${yard.crew.machine}/meter`;
    const fields = {
      kind: 'replaced',
      on: '2027-05-12',
      oldShown: 61,
      newShown: 2,
      reason: 'It had stopped',
    };
    expect((await put(path, fields, 'POST')).status).toBe(204);
    const after = await machine();
    expect(after).toMatchObject({ life: 61, lastShown: 2 });
    expect(after.lines.find(({ itemId }) => itemId === yard.crew.oil)?.limits[0]).toMatchObject({
      at: 50,
      left: -11,
    });
    const { body: readings } = await yard.ask<ReadingDto[]>(
      'GET',
      `/api/machines/${yard.crew.machine}/readings`,
    );
    expect(readings.slice(0, 2).map(({ shown, life }) => [shown, life])).toEqual([
      [2, 61],
      [61, 61],
    ]);
  });

  it('that rolled over goes on from its largest figure', async () => {
    const path = `/machines/${yard.crew.machine}/meter`;
    await put(
      path,
      { kind: 'rolledOver', on: '2027-05-12', oldShown: 99.9, newShown: 0.4, reason: 'Small meter' },
      'POST',
    );
    expect((await machine()).life).toBe(100.4);
  });

  it('is not changed before a reading that is already there, nor backwards', async () => {
    const path = `/machines/${yard.crew.machine}/meter`;
    const fields = {
      kind: 'replaced',
      on: '2027-05-09',
      oldShown: 61,
      newShown: 0,
      reason: 'It had stopped',
    };
    expect((await put(path, fields, 'POST')).body.errors?.[0]).toMatchObject({
      pointer: '#/on',
      code: 'beforeReading',
    });
    const backwards = { ...fields, on: '2027-05-12', oldShown: 59 };
    expect((await put(path, backwards, 'POST')).body.errors?.[0]).toMatchObject({
      pointer: '#/oldShown',
      code: 'backwards',
    });
    expect((await machine()).life).toBe(60);
  });

  it('that shows more than is likely is asked about, and kept once confirmed', async () => {
    const reading = { machineId: yard.crew.machine, shown: 90 };
    const asked = await put('/round', { readings: [reading] }, 'POST');
    expect(asked.body.errors).toMatchObject([{ pointer: '#/readings/0/shown', code: 'unusual' }]);
    expect((await put('/round', { readings: [{ ...reading, confirmed: true }] }, 'POST')).status).toBe(201);
    expect((await machine()).life).toBe(90);
  });
});
