import type { MachineDto, ProblemDto, ReadingDto, RoundDto } from '@yugator/contracts';
import { testApp } from '../testing/testApp.js';
import type { TestApp } from '../testing/testApp.js';

let yard: TestApp;
beforeAll(async () => {
  yard = await testApp();
});
afterAll(() => yard.close());

const life = async (id: string) => (await yard.ask<MachineDto>('GET', `/api/machines/${id}`)).body.life;
const enter = (readings: unknown, more: object = {}) =>
  yard.ask<ProblemDto>('POST', '/api/round', { as: 'operator', body: { readings, ...more } });

describe('a round', () => {
  it('lists the fleet in walking order with the last readings', async () => {
    const { body } = await yard.ask<RoundDto>('GET', '/api/round');
    expect(body.meters.map(({ tag, readings }) => [tag, readings.at(-1)?.shown])).toEqual([
      ['T-1', 60],
      ['T-2', 30],
    ]);
  });

  it('keeps none of its readings when one cannot be, and names the field and the way out', async () => {
    const { status, body } = await enter([
      { machineId: yard.crew.otherMachine, shown: 33 },
      { machineId: yard.crew.machine, shown: 59.9 },
    ]);
    expect(status).toBe(422);
    expect(body.errors).toEqual([
      {
        pointer: '#/readings/1/shown',
        code: 'backwards',
        detail: expect.stringContaining('60 h read before'),
      },
    ]);
    expect(await life(yard.crew.otherMachine)).toBe(30);
  });

  it('refuses what grew faster than the clock', async () => {
    // 10 May 15:00 to 13 May 11:00 UTC is 68 h.
    const { body } = await enter([{ machineId: yard.crew.machine, shown: 140 }]);
    expect(body.errors?.[0]).toMatchObject({
      code: 'fasterThanClock',
      detail: expect.stringContaining('80 h in 68 h'),
    });
  });

  it.each([
    ['an unknown property', [{ machineId: 'x', shown: 1, shone: 2 }], '#/readings/0/shone'],
    ['words for hours', [{ machineId: 'x', shown: 'many' }], '#/readings/0/shown'],
    ['nothing at all', [], '#/readings'],
    ['a machine that is not there', [{ machineId: 'x', shown: 1 }], '#/readings/0/machineId'],
  ])('refuses %s with its field', async (_what, readings, pointer) => {
    const { status, body } = await enter(readings);
    expect(status).toBe(422);
    expect(body.errors?.map((fault) => fault.pointer)).toContain(pointer);
  });

  it('refuses a machine twice, and a round in the future', async () => {
    const twice = await enter([
      { machineId: yard.crew.machine, shown: 61 },
      { machineId: yard.crew.machine, shown: 62 },
    ]);
    expect(twice.body.errors?.[0]?.code).toBe('repeated');
    const early = await enter([{ machineId: yard.crew.machine, shown: 61 }], {
      readAt: '2027-05-14T08:00:00Z',
    });
    expect(early.body.errors?.[0]?.pointer).toBe('#/readAt');
  });

  it('judges rounds sent at once one after the other, never two against the same last reading', async () => {
    // The clock stands still: whichever comes first, the other figure can no longer be.
    const answers = await Promise.all(
      [34, 35, 34, 35].map((shown) => enter([{ machineId: yard.crew.otherMachine, shown }])),
    );
    const kept = answers.filter(({ status }) => status === 201).length;
    const { body } = await yard.ask<ReadingDto[]>('GET', `/api/machines/${yard.crew.otherMachine}/readings`);
    expect(kept).toBe(2);
    expect(body).toHaveLength(2 + kept);
    expect(new Set(body.slice(0, kept).map((reading) => reading.shown)).size).toBe(1);
  });

  it('is taken out of the reckoning by voiding, and stays in the history', async () => {
    await enter([{ machineId: yard.crew.machine, shown: 64 }]);
    expect(await life(yard.crew.machine)).toBe(64);
    const list = await yard.ask<ReadingDto[]>('GET', `/api/machines/${yard.crew.machine}/readings`);
    const path = `/api/readings/${list.body[0]?.id}/void`;
    expect((await yard.ask('POST', path, { body: { reason: 'x' } })).status).toBe(422);
    expect((await yard.ask('POST', path, { body: { reason: 'Read the wrong mower' } })).status).toBe(204);
    expect((await yard.ask('POST', path, { body: { reason: 'Read the wrong mower' } })).status).toBe(409);
    expect(await life(yard.crew.machine)).toBe(60);
    const after = await yard.ask<ReadingDto[]>('GET', `/api/machines/${yard.crew.machine}/readings`);
    expect(after.body[0]?.voided).toMatchObject({ by: 'crewLead', reason: 'Read the wrong mower' });
  });
});
