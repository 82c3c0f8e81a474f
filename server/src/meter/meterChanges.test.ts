import type { MachineDetailDto, ProblemDto, ReadingDto, RoundDto } from '@yugator/contracts';
import { jpeg, NO_PICTURE } from '../testing/pictures.js';
import { yardOfFile } from '../testing/testApp.js';

const yard = yardOfFile();

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

describe("an attachment's own meter", () => {
  const loader = { kind: 'loader', name: 'Loader', share: null, hoursAtStart: 88, engineAtStart: 60 };
  const read = (shown: number, more: object = {}) =>
    put('/round', { readings: [{ machineId: yard.crew.machine, meter: 'loader', shown, ...more }] }, 'POST');
  const attach = async () => {
    const { version } = await machine();
    return put<MachineDetailDto>(`/machines/${yard.crew.machine}/attachments`, {
      attachments: [loader],
      version,
    });
  };

  it('stands in the round beside the engine, is judged by itself, and leaves the engine alone', async () => {
    expect((await attach()).body.attachments).toEqual([{ ...loader, life: 88 }]);
    const { body: round } = await yard.ask<RoundDto>('GET', '/api/round');
    expect(round.meters.map(({ tag, meter, name }) => [tag, meter, name])).toEqual([
      ['T-1', 'engine', 'Mower T-1'],
      ['T-1', 'loader', 'Loader of Mower T-1'],
      ['T-2', 'engine', 'Mower T-2'],
    ]);
    // Its meter was first read this very moment, at 88 h: nothing can have been added since.
    expect((await read(90)).body.errors).toMatchObject([
      { pointer: '#/readings/0/shown', code: 'fasterThanClock' },
    ]);
    expect((await read(87)).body.errors).toMatchObject([{ code: 'backwards' }]);
    expect((await read(88)).status).toBe(201);
    expect(await machine()).toMatchObject({ life: 60, lastShown: 60, attachments: [{ life: 88 }] });
    const { body: list } = await yard.ask<ReadingDto[]>('GET', `/api/machines/${yard.crew.machine}/readings`);
    expect(list.map(({ meter, shown }) => [meter, shown])).toEqual([
      ['loader', 88],
      ['loader', 88],
      ['engine', 60],
      ['engine', 0],
    ]);
  });

  it('decides what is due of its own items', async () => {
    await attach();
    const { version } = await machine();
    const grease = {
      name: 'Loader: grease',
      action: 'grease',
      component: 'loader pins',
      minutes: 10,
      renews: [],
      reference: '',
      note: '',
      windowHours: null,
      windowDays: null,
      triggers: [{ kind: 'everyHours', hours: 10, meter: 'loader', grid: null }],
    };
    const kept = await put<MachineDetailDto>(`/machines/${yard.crew.machine}/items`, {
      items: [grease],
      version,
    });
    expect(kept.status).toBe(200);
    const line = (await machine()).lines.find(({ itemName }) => itemName === 'Loader: grease');
    // What it ran before its meter was first read nobody knows: it counts from the 88 h that stood there.
    expect(line?.limits[0]).toMatchObject({ meter: 'loader', at: 98, left: 10 });
  });

  it('is replaced by itself, and goes on from where it was when it comes back', async () => {
    await attach();
    const changed = { on: '2027-05-13', oldShown: 88, newShown: 0, reason: 'Another loader' };
    // At the same moment as its first reading it cannot have been replaced yet.
    const soon = await put(
      `/machines/${yard.crew.machine}/meter`,
      { kind: 'replaced', meter: 'loader', ...changed },
      'POST',
    );
    expect(soon.body.errors?.[0]).toMatchObject({ pointer: '#/on', code: 'beforeReading' });
    const { version } = await machine();
    const path = `/machines/${yard.crew.machine}/attachments`;
    await put(path, { attachments: [], version });
    expect((await read(89)).body.errors?.[0]).toMatchObject({
      pointer: '#/readings/0/meter',
      code: 'unknown',
    });
    expect((await attach()).body.attachments).toEqual([{ ...loader, life: 88 }]);
  });

  it('is refused where its share is no number', async () => {
    const { version } = await machine();
    const attachments = [{ ...loader, share: 'half' }];
    const { body } = await put(`/machines/${yard.crew.machine}/attachments`, { attachments, version });
    expect(body.errors?.[0]?.pointer).toBe('#/attachments/0/share');
  });
});

describe('a photo with a reading', () => {
  const enter = (photo: string) =>
    put('/round', { readings: [{ machineId: yard.crew.machine, shown: 61, photo }] }, 'POST');

  it('is kept beside it, and shown to whoever looks at the reading', async () => {
    expect((await enter((await jpeg()).toString('base64'))).status).toBe(201);
    const { body } = await yard.ask<ReadingDto[]>('GET', `/api/machines/${yard.crew.machine}/readings`);
    expect(body.map(({ photo }) => photo !== null)).toEqual([true, false, false]);
    const shown = await yard.ask('GET', body[0]?.photo ?? '');
    expect(shown.status).toBe(200);
  });

  it('that is no picture is refused, and the reading with it', async () => {
    const refused = await enter(NO_PICTURE.toString('base64'));
    expect(refused.body.errors).toMatchObject([{ pointer: '#/readings/0/photo', code: 'notPicture' }]);
    expect((await machine()).life).toBe(60);
  });
});
