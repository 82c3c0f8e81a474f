import { instantOf } from '@yugator/core';
import type { JobDto, MachineDetailDto, ProblemDto, RecordKeptDto, RecordPageDto } from '@yugator/contracts';
import { ownLine } from '../testing/ownLine.js';
import { yardOfFile } from '../testing/testApp.js';

const yard = yardOfFile();

type Answer = RecordKeptDto & Omit<ProblemDto, 'status'>;
type Doer = 'operator' | 'mechanic' | 'viewer' | 'crewLead';
const machine = () => `/api/machines/${yard.crew.machine}`;
const detail = async () => (await yard.ask<MachineDetailDto>('GET', machine())).body;
const done = (body: object, as: Doer = 'operator') =>
  yard.ask<Answer>('POST', `${machine()}/done`, { as, body: { doneOn: '2027-05-13', ...body } });
const undo = (id: string, as: Doer = 'operator') =>
  yard.ask<JobDto>('POST', `/api/records/${id}/undo`, { as });
const baseline = async (itemId: string) =>
  (await detail()).lines.find((line) => line.itemId === itemId)?.baseline;

/** Lines of the machine's own: everyday work, a short check of a visit, a long one. */
async function lines(): Promise<Record<'dust' | 'belts' | 'deck', string>> {
  const line = (name: string, hours: number, minutes: number) =>
    ownLine({ name, action: 'inspect', components: ['dustValve'] }, hours, minutes);
  const items = [line('Dust valve', 8, 3), line('Belts', 50, 5), line('Deck', 50, 40)];
  await yard.ask('PUT', `${machine()}/items`, { body: { items, version: 1 } });
  const [dust, belts, deck] = (await detail()).ownItems.map(({ id }) => id ?? '');
  return { dust: dust ?? '', belts: belts ?? '', deck: deck ?? '' };
}

describe('a line that is done now', () => {
  it('counts from the last reading where nobody reads the meter, at no cost and folded among the records', async () => {
    const { dust } = await lines();
    expect((await done({ itemId: dust })).status).toBe(201);
    expect(await baseline(dust)).toEqual({ kind: 'completion', on: '2027-05-13', life: 60 });
    const find = async (kinds: string) =>
      (await yard.ask<RecordPageDto>('GET', `/api/records?kinds=${kinds}`)).body;
    expect((await find('visits')).total).toBe(0);
    expect((await find('all')).records).toMatchObject([
      { kind: 'round', items: ['Dust valve'], doneBy: 'operator', costMinor: 0, life: 60, shown: 60 },
    ]);
  });

  it('counts from the figure where it is typed, which is then a reading', async () => {
    const { dust } = await lines();
    await done({ itemId: dust, shown: 61.4 });
    expect(await baseline(dust)).toMatchObject({ life: 61.4 });
    expect((await detail()).life).toBe(61.4);
  });

  it('done on an earlier day counts from what was known by then', async () => {
    const { dust } = await lines();
    await done({ itemId: dust, doneOn: '2027-05-01' });
    expect(await baseline(dust)).toEqual({ kind: 'completion', on: '2027-05-01', life: 0 });
  });

  it('is undone at once by who did it, with its reading, and by nobody else or later', async () => {
    const { dust } = await lines();
    const { body } = await done({ itemId: dust, shown: 61.4 });
    expect((await undo(body.jobId, 'mechanic')).status).toBe(403);
    expect((await undo(body.jobId)).status).toBe(201);
    expect((await baseline(dust))?.kind).toBe('enteredService');
    expect((await detail()).life).toBe(60);
    expect((await undo(body.jobId)).status).toBe(409);
    const again = await done({ itemId: dust });
    yard.clock.set(instantOf(yard.clock.now() + 121_000));
    expect((await undo(again.body.jobId)).status).toBe(403);
    expect((await baseline(dust))?.kind).toBe('completion');
  });

  it('is short work: what takes long or parts needs a job, and visits are not for operators', async () => {
    const { dust, belts, deck } = await lines();
    const codeOf = async (itemId: string, as?: Doer) =>
      (await done({ itemId }, as)).body.errors?.map(({ code }) => code);
    expect(await codeOf(belts)).toEqual(['notOperators']);
    expect((await done({ itemId: belts }, 'mechanic')).status).toBe(201);
    expect(await codeOf(deck, 'crewLead')).toEqual(['takesJob']);
    expect(await codeOf(yard.crew.oil, 'crewLead')).toEqual(['takesJob']);
    expect(await codeOf(yard.crew.machine, 'crewLead')).toEqual(['unknown']);
    expect((await done({ itemId: dust }, 'viewer')).status).toBe(403);
  });

  it('is refused by its field for a day that cannot be, or hours that cannot be; nothing is kept', async () => {
    const { dust } = await lines();
    const pointers = async (over: object) =>
      (await done({ itemId: dust, ...over })).body.errors?.map(({ pointer }) => pointer);
    expect(await pointers({ doneOn: '2027-05-14' })).toEqual(['#/doneOn']);
    expect(await pointers({ doneOn: '2026-04-30' })).toEqual(['#/doneOn']);
    expect(await pointers({ doneOn: '2027-02-30' })).toEqual(['#/doneOn']);
    expect(await pointers({ shown: 59 })).toEqual(['#/shown']);
    expect((await baseline(dust))?.kind).toBe('enteredService');
  });
});
