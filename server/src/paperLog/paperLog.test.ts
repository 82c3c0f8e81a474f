import type {
  JobDto,
  KnownLifeDto,
  MachineDetailDto,
  PaperLogKeptDto,
  ProblemDto,
  RecordPageDto,
} from '@yugator/contracts';
import { yardOfFile } from '../testing/testApp.js';

const yard = yardOfFile();

type Answer = PaperLogKeptDto & Omit<ProblemDto, 'status'>;
const machine = () => `/api/machines/${yard.crew.machine}`;
const keep = (rows: object[], as: 'crewLead' | 'mechanic' = 'crewLead') =>
  yard.ask<Answer>('POST', `${machine()}/paper-log`, { as, body: { rows } });
const row = (doneOn: string, life: number, more: object = {}) => ({
  doneOn,
  life,
  itemIds: [yard.crew.oil],
  note: '',
  ...more,
});
const records = async () => (await yard.ask<RecordPageDto>('GET', '/api/records')).body;

describe('a paper log', () => {
  it('becomes records of its days, marked as from paper, with no stock and no reading', async () => {
    const kept = await keep([
      row('2026-08-01', 20, { note: 'Green book, page 3' }),
      row('2027-01-10', 45, { itemIds: [yard.crew.oil, yard.crew.grease] }),
    ]);
    expect([kept.status, kept.body.kept]).toEqual([201, 2]);
    expect((await records()).records).toMatchObject([
      { kind: 'paper', doneOn: '2027-01-10', life: 45, draws: [], costMinor: 0 },
      { kind: 'paper', doneOn: '2026-08-01', life: 20, note: 'Green book, page 3' },
    ]);
    const { body } = await yard.ask<MachineDetailDto>('GET', machine());
    const oil = body.lines.find(({ itemId }) => itemId === yard.crew.oil);
    expect(oil?.baseline).toEqual({ kind: 'completion', on: '2027-01-10', life: 45 });
    expect(oil?.done).toHaveLength(2);
    expect(body.life).toBe(60);
    const { body: known } = await yard.ask<KnownLifeDto[]>('GET', `${machine()}/paper-log`);
    expect(known).toContainEqual({ on: '2026-08-01', life: 20 });
  });

  it('is judged row by row against readings, records and its own rows; at one fault nothing is kept', async () => {
    const { body } = await keep([
      row('2026-08-01', 20),
      row('2026-09-01', 19),
      row('2027-05-14', 60),
      row('2026-04-30', 0),
      row('2027-05-01', 61),
      row('2027-01-01', 45, { itemIds: [yard.crew.machine] }),
    ]);
    expect(body.errors?.map(({ pointer, code }) => `${pointer} ${code}`)).toEqual([
      '#/rows/1/life backwards',
      '#/rows/2/doneOn future',
      '#/rows/3/doneOn beforeService',
      '#/rows/4/life tooMany',
      '#/rows/5/itemIds/0 unknown',
    ]);
    expect((await records()).total).toBe(0);
  });

  it('says the last time of a line that has one on record already, and can be voided again', async () => {
    await keep([row('2026-08-01', 20)]);
    await keep([row('2027-02-01', 40)]);
    const baseline = async () =>
      (await yard.ask<MachineDetailDto>('GET', machine())).body.lines.find(
        ({ itemId }) => itemId === yard.crew.oil,
      )?.baseline.life;
    expect(await baseline()).toBe(40);
    const [latest] = (await records()).records;
    const voided = await yard.ask<JobDto>('POST', `/api/records/${latest?.jobId}/void`, {
      body: { reason: 'Other machine' },
    });
    expect(voided.status).toBe(201);
    expect(await baseline()).toBe(20);
  });

  it('is for the crew lead, with at least one tick a row, and 200 rows at a time', async () => {
    expect((await keep([row('2026-08-01', 20)], 'mechanic')).status).toBe(403);
    expect((await keep([row('2026-08-01', 20, { itemIds: [] })])).body.errors?.[0]?.pointer).toBe(
      '#/rows/0/itemIds',
    );
    expect((await keep(Array.from({ length: 201 }, () => row('2026-08-01', 20)))).status).toBe(422);
    expect((await keep(Array.from({ length: 200 }, () => row('2026-08-01', 20)))).body.kept).toBe(200);
  });
});
