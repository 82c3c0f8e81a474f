import type { MachineDetailDto, ProblemDto, ReadingDto } from '@yugator/contracts';
import { civilDateAt, instant } from '@yugator/core';
import { testApp } from '../testing/testApp.js';
import type { TestApp } from '../testing/testApp.js';

/** Sheds far east and far west of Greenwich: their day and that of UTC are two for half of each day. */
describe.each([
  // Eight in the morning of 14 May is still 13 May in UTC.
  ['Pacific/Auckland', '2027-05-13T20:00:00Z', '2027-05-14'],
  // Six in the evening of 13 May is 14 May in UTC already.
  ['America/Los_Angeles', '2027-05-14T01:00:00Z', '2027-05-13'],
  ['Europe/London', '2027-05-13T20:00:00Z', '2027-05-13'],
])('a shed in %s', (timeZone, at, day) => {
  let yard: TestApp;
  beforeAll(async () => {
    yard = await testApp(timeZone);
    yard.clock.set(instant(at));
  });
  afterAll(() => yard.close());

  it('has its own day', async () => {
    expect((await yard.ask('GET', '/api/session')).body).toMatchObject({ today: day });
  });

  it('registers a machine on its own day, which can be read at once', async () => {
    const fields = {
      tag: 'Z-1',
      name: 'New today',
      machineClass: 'zeroTurn',
      make: '',
      model: '',
      fuel: 'gasoline',
      shed: 'Yard',
      walkOrder: 9,
      inServiceOn: day,
      inServiceHours: 0.4,
      cameNew: true,
      bookIds: [],
    };
    const made = await yard.ask<MachineDetailDto>('POST', '/api/machines', { body: fields });
    expect([made.status, made.body.lastShown]).toEqual([201, 0.4]);
    const readings = await yard.ask<ReadingDto[]>('GET', `/api/machines/${made.body.id}/readings`);
    expect(readings.body.map((reading) => civilDateAt(instant(reading.at), timeZone))).toEqual([day]);
    const asked = { readings: [{ machineId: made.body.id, shown: 1.4 }], readAt: at };
    expect((await yard.ask<ProblemDto>('POST', '/api/round', { as: 'operator', body: asked })).status).toBe(
      201,
    );
  });

  it('dates what was read by its own day', async () => {
    const asked = { readings: [{ machineId: yard.crew.machine, shown: 61 }], readAt: at };
    expect((await yard.ask('POST', '/api/round', { as: 'operator', body: asked })).status).toBe(201);
    const { body } = await yard.ask<MachineDetailDto>('GET', `/api/machines/${yard.crew.machine}`);
    expect(body.lastReadAt).toBe(new Date(at).toISOString());
    for (const line of body.lines) {
      if (line.expectedOn && line.state !== 'overdue') expect(line.expectedOn >= day).toBe(true);
    }
  });
});
