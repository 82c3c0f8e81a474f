import type { PersonDto, UpdateWorkshopDaysDto } from '@yugator/contracts';
import { addDays, civilDate } from '@yugator/core';
import { faultsOf, fitActs } from '../testing/fitActs.js';
import { CLOSED, planActs, SAID, WEEK } from '../testing/planActs.js';
import { yardOfFile } from '../testing/testApp.js';

const yard = yardOfFile('Europe/London');
const { register } = fitActs(() => yard);
const { readDays, writeDays, readPlan } = planActs(() => yard);

const NOBODY = '00000000-0000-7000-8000-000000000000';
const OPEN = { minutes: 240, bays: 2 };
/** Four hours on Tuesdays and Fridays. */
const HAND = WEEK.map(({ minutes }) => ({ minutes }));

describe('when the workshop is open', () => {
  it('is said of the week and of single days, by who saw what is there', async () => {
    const before = await readDays();
    expect(before.week).toEqual(Array.from({ length: 7 }, () => CLOSED));
    const { today } = await readPlan();
    const off = { on: addDays(civilDate(today), 3), minutes: 0, bays: 0, note: 'Holiday' };
    const { body } = await writeDays({ ...SAID, exceptions: [off], version: before.version });
    expect(body).toEqual({ ...SAID, exceptions: [off], version: before.version + 1 });
    const stale = await writeDays({ ...SAID, version: before.version });
    expect(stale.status).toBe(409);
    expect((await readPlan()).instance.days.map(({ day }) => day)).not.toContain(3);
  });

  it.each<[string, Partial<UpdateWorkshopDaysDto>, string]>([
    ['six days', { week: WEEK.slice(1) }, '#/week'],
    ['minutes below nought', { week: [{ minutes: -1, bays: 1 }, ...WEEK.slice(1)] }, '#/week/0/minutes'],
    [
      'a day twice',
      {
        exceptions: [
          { on: '2027-05-05', ...OPEN },
          { on: '2027-05-05', ...CLOSED },
        ],
      },
      '#/exceptions',
    ],
    ['ready after its season', { readyDays: -1 }, '#/readyDays'],
    ['laid up in a year', { layUpDays: 365 }, '#/layUpDays'],
    [
      'needed until before it is needed',
      { needed: [{ machineId: null, from: '2027-05-05', until: '2027-05-04' }] },
      '#/needed/0/until',
    ],
    [
      'needed of a machine that is none',
      { needed: [{ machineId: NOBODY, from: '2027-05-05', until: '2027-05-05' }] },
      '#/needed/0/machineId',
    ],
    ['of a person who is none', { hands: [{ personId: NOBODY, week: HAND }] }, '#/hands/0/personId'],
    [
      'away, who does not work there',
      { absences: [{ personId: NOBODY, from: '2027-05-05', until: '2027-05-05' }] },
      '#/absences/0/personId',
    ],
    [
      'more than a day of a person',
      { hands: [{ personId: NOBODY, week: [{ minutes: 1_441 }, ...HAND.slice(1)] }] },
      '#/hands/0/week/0/minutes',
    ],
    ['a day that is none', { exceptions: [{ on: '2027-02-30', ...OPEN }] }, '#/exceptions/0/on'],
  ])('is not %s', async (_what, over, pointer) => {
    const { version } = await readDays();
    const { status, body } = await writeDays({ ...SAID, version, ...over });
    expect([status, faultsOf(body)[0]?.[0]]).toEqual([422, pointer]);
  });
});

describe('who is in', () => {
  it('makes the minutes of a day; whoever is away or has left is not counted', async () => {
    const { crewLead, mechanic } = yard.crew.people;
    const { today } = await readPlan();
    const hands = [crewLead, mechanic].sort().map((personId) => ({ personId, week: HAND }));
    const absence = { personId: mechanic, from: today, until: addDays(civilDate(today), 6), note: 'Course' };
    const said = { ...SAID, hands, absences: [absence] };
    const { version } = await readDays();
    expect((await writeDays({ ...said, version })).body).toEqual({ ...said, version: version + 1 });
    const minutes = async () => (await readPlan(4)).instance.days.map((day) => day.minutes);
    expect(await minutes()).toEqual([240, 240, 480, 480, 480, 480, 480, 480]);
    const { body: people } = await yard.ask<PersonDto[]>('GET', '/api/people');
    const left = people.find(({ id }) => id === mechanic);
    await yard.ask('PUT', `/api/people/${mechanic}`, {
      body: { role: left?.role, active: false, version: left?.version },
    });
    expect(new Set(await minutes())).toEqual(new Set([240]));
  });

  it('is said in the right order', async () => {
    const { mechanic } = yard.crew.people;
    const { version } = await readDays();
    const hands = [{ personId: mechanic, week: HAND }];
    const absences = [{ personId: mechanic, from: '2027-06-05', until: '2027-06-04' }];
    const { body } = await writeDays({ ...SAID, hands, absences, version });
    expect(faultsOf(body)).toEqual([['#/absences/0/until', 'beforeFrom']]);
  });
});

describe('what the plan reckons with', () => {
  it('is on which days a machine is needed, and by when it is ready', async () => {
    const { version } = await readDays();
    const { today } = await readPlan();
    const [machine, other] = [await register('N-1'), await register('N-2')];
    const on = (days: number) => addDays(civilDate(today), days);
    const fair = { machineId: machine.id, from: on(1), until: on(2), note: 'Village fair' };
    const match = { machineId: null, from: on(4), until: on(4), note: 'Cup match' };
    const said = { ...SAID, needed: [fair, match], readyDays: 10, layUpDays: 5 };
    expect((await writeDays({ ...said, version })).body).toEqual({ ...said, version: version + 1 });
    const { instance } = await readPlan();
    const blocked = ({ id }: { id: string }) => instance.machines.find((each) => each.id === id)?.blocked;
    expect([blocked(machine), blocked(other)]).toEqual([[1, 2, 4], [4]]);
  });
});
