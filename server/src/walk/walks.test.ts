import type {
  DefectPageDto,
  JobDto,
  MachineDetailDto,
  ProblemDto,
  RecordPageDto,
  TodayDto,
  WalkDto,
  WalkKeptDto,
} from '@yugator/contracts';
import { ownLine } from '../testing/ownLine.js';
import { yardOfFile } from '../testing/testApp.js';

const yard = yardOfFile();

type Answer = WalkKeptDto & Omit<ProblemDto, 'status'>;
const machine = () => `/api/machines/${yard.crew.machine}`;

/** Lines of the machine's own: one on every walk, one for a visit. */
async function lines(): Promise<Record<string, string>> {
  const line = (name: string, hours: number) =>
    ownLine({ name, action: 'inspect', components: ['dustValve'] }, hours, 3);
  const items = [line('Dust valve: squeeze', 8), line('Belts: look over', 50)];
  await yard.ask('PUT', `${machine()}/items`, { body: { items, version: 1 } });
  const { body } = await yard.ask<MachineDetailDto>('GET', machine());
  return Object.fromEntries(body.ownItems.map(({ name, id }) => [name, id]));
}

const walk = async () => (await yard.ask<WalkDto>('GET', `${machine()}/walk`)).body;
const keep = (body: object, as: 'operator' | 'viewer' = 'operator') =>
  yard.ask<Answer>('POST', `${machine()}/walk`, { as, body });
const records = async (kinds = '') =>
  (await yard.ask<RecordPageDto>('GET', `/api/records?machineId=${yard.crew.machine}${kinds}`)).body;

describe('a walk round a machine', () => {
  it('looks at everyday work alone, and with the figure all of it is done and on record, at no cost', async () => {
    const own = await lines();
    const before = await walk();
    expect(before.lines.map(({ itemName }) => itemName)).toEqual(['Dust valve: squeeze']);
    expect(before).toMatchObject({ lastShown: 60, machine: { tag: 'T-1' } });
    const kept = await keep({ shown: 61.2, itemIds: [own['Dust valve: squeeze']], notWell: [] });
    expect(kept.status).toBe(201);
    expect((await walk()).lines).toEqual([]);
    const { body } = await yard.ask<MachineDetailDto>('GET', machine());
    const done = body.lines.find(({ itemName }) => itemName === 'Dust valve: squeeze');
    expect(done?.baseline).toEqual({ kind: 'completion', on: '2027-05-13', life: 61.2 });
    expect(body.life).toBe(61.2);
    // In the records walks are folded unless they are asked for.
    expect((await records()).total).toBe(0);
    expect((await records('&kinds=all')).records).toMatchObject([
      {
        kind: 'round',
        items: ['Dust valve: squeeze'],
        doneBy: 'operator',
        minutes: 0,
        costMinor: 0,
        life: 61.2,
      },
    ]);
  });

  it('takes down what is not well as a defect, and does not count that line as done', async () => {
    const own = await lines();
    const { body } = await keep({
      shown: 61,
      itemIds: [],
      notWell: [
        { itemId: own['Dust valve: squeeze'], words: 'Torn, it hangs', severity: 'soon' },
        { look: 'drips', words: 'Oil below the gearbox', severity: 'watch' },
      ],
    });
    expect(body.defects).toMatchObject([
      { words: 'Torn, it hangs', itemName: 'Dust valve: squeeze', reportedBy: 'operator' },
      { words: 'Oil below the gearbox', severity: 'watch', itemName: null },
    ]);
    expect((await walk()).lines).toHaveLength(1);
  });

  it('that finds a machine not to be used takes it out of service; its everyday work then rests', async () => {
    await lines();
    const notWell = [{ look: 'guards', words: 'Chute guard broken off', severity: 'stop' }];
    expect((await keep({ shown: 61, itemIds: [], notWell })).status).toBe(201);
    const { body: now } = await yard.ask<MachineDetailDto>('GET', machine());
    expect(now.status).toBe('outOfService');
    expect((await walk()).lines).toEqual([]);
  });

  it('that was a mistake is taken back whole: its reading, what it did and what it found', async () => {
    const own = await lines();
    const { body } = await keep({
      shown: 62,
      itemIds: [own['Dust valve: squeeze']],
      notWell: [{ look: 'tyres', words: 'Left rear flat', severity: 'soon' }],
    });
    const voided = await yard.ask<JobDto>('POST', `/api/records/${body.jobId}/void`, {
      body: { reason: 'Other machine' },
    });
    expect(voided.status).toBe(201);
    expect((await walk()).lines).toHaveLength(1);
    expect((await walk()).lastShown).toBe(60);
    expect((await yard.ask<DefectPageDto>('GET', '/api/defects')).body.total).toBe(0);
  });

  it('is refused by its field, and then nothing of it is kept', async () => {
    const own = await lines();
    const dust = own['Dust valve: squeeze'];
    const faultOf = async (over: object) =>
      (await keep({ shown: 61, itemIds: [], notWell: [], ...over })).body.errors?.map(
        ({ pointer }) => pointer,
      );
    expect(await faultOf({ shown: 59 })).toEqual(['#/shown']);
    expect(await faultOf({ itemIds: [own['Belts: look over']] })).toEqual(['#/itemIds/0']);
    const words = { words: 'Gone', severity: 'soon' };
    expect(await faultOf({ notWell: [{ ...words, look: 'hood' }] })).toEqual(['#/notWell/0/look']);
    expect(await faultOf({ notWell: [{ look: 'drips', words: '', severity: 'soon' }] })).toEqual([
      '#/notWell/0/words',
    ]);
    expect(await faultOf({ itemIds: [dust], notWell: [{ ...words, itemId: dust }] })).toEqual([
      '#/itemIds/0',
    ]);
    expect((await keep({ shown: 61, itemIds: [], notWell: [] }, 'viewer')).status).toBe(403);
    expect((await records('&kinds=all')).total).toBe(0);
    expect((await walk()).lastShown).toBe(60);
  });
});

describe('a line that says where it is done', () => {
  it('is done there, however often it comes', async () => {
    await lines();
    const { body: before } = await yard.ask<MachineDetailDto>('GET', machine());
    const items = before.ownItems.map((line) => ({
      ...line,
      doneIn: line.name === 'Belts: look over' ? 'walk' : 'visit',
    }));
    const put = await yard.ask('PUT', `${machine()}/items`, { body: { items, version: before.version } });
    expect(put.status).toBe(200);
    expect((await walk()).lines.map(({ itemName }) => itemName)).toEqual(['Belts: look over']);
    const wrong = items.map((line) => ({ ...line, doneIn: 'field' }));
    const refused = await yard.ask<ProblemDto>('PUT', `${machine()}/items`, {
      body: { items: wrong, version: before.version + 1 },
    });
    expect(refused.body.errors?.[0]?.pointer).toBe('#/items/0/doneIn');
  });
});

describe('Today', () => {
  it('says where walk-rounds wait in a line of their own; they hide no visit', async () => {
    const own = await lines();
    const today = async () => (await yard.ask<TodayDto>('GET', '/api/today')).body;
    const before = await today();
    expect(before.rounds).toMatchObject([{ tag: 'T-1', lines: [{ itemName: 'Dust valve: squeeze' }] }]);
    const lineNames = before.machines.flatMap(({ lines: waiting }) =>
      waiting.map(({ itemName }) => itemName),
    );
    expect(lineNames).toContain('Belts: look over');
    expect(lineNames).not.toContain('Dust valve: squeeze');
    await keep({ shown: 61, itemIds: [own['Dust valve: squeeze']], notWell: [] });
    expect((await today()).rounds).toEqual([]);
  });
});
