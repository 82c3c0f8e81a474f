import type {
  BookDto,
  FleetLineDto,
  MachineDetailDto,
  MilestoneDto,
  ProblemDto,
  ReadingDto,
  SeasonsDto,
  SiteSettingsDto,
  TodayDto,
  WeekOfUseDto,
} from '@yugator/contracts';
import { emptySpecCard } from '@yugator/contracts';
import { yardOfFile } from '../testing/testApp.js';

const yard = yardOfFile();

type Answered<T> = T & Omit<ProblemDto, 'status'>;
const machine = async () =>
  (await yard.ask<MachineDetailDto>('GET', `/api/machines/${yard.crew.machine}`)).body;
const put = <T>(path: string, body: object, method = 'PUT') =>
  yard.ask<Answered<T>>(method, `/api${path}`, { body });
const MOWING = { name: 'Mowing', years: [{ year: 2027, firstDay: '2027-03-24', lastDay: '2027-10-24' }] };

async function mowing(): Promise<string> {
  const { body } = await put<SeasonsDto>('/seasons', { seasons: [MOWING], version: 1 });
  return body.seasons[0]?.id ?? '';
}

const NO_OVERRIDE = {
  isOmitted: false,
  triggers: null,
  dutyFactor: null,
  windowHours: null,
  windowDays: null,
};

const FOREIGN_LINE = {
  name: 'Foreign line',
  action: 'inspect',
  components: ['lights'],
  minutes: 5,
  renews: [],
  reference: '',
  note: '',
  windowHours: null,
  windowDays: null,
  triggers: [{ kind: 'storage', days: 30 }],
};

describe('seasons', () => {
  it('lay a machine up outside of those it takes part in, and give it a plan', async () => {
    const seasonId = await mowing();
    expect((await machine()).working).toEqual({ kind: 'unplanned', since: null, until: null });
    const { status, body } = await put<MachineDetailDto>(`/machines/${yard.crew.machine}/seasons`, {
      participation: [{ seasonId, hoursPerWeek: 7 }],
      version: 1,
    });
    expect(status).toBe(200);
    // The clock stands at 13 May 2027.
    expect(body).toMatchObject({ working: { kind: 'working', until: '2027-10-24' }, version: 2 });
    expect(body.plannedPerWeek).toBeCloseTo(7);
    expect(body.ahead.length).toBeGreaterThan(50);
    const { body: weeks } = await yard.ask<WeekOfUseDto[]>('GET', `/api/machines/${yard.crew.machine}/use`);
    expect(weeks).toHaveLength(52);
    expect(weeks.at(-1)).toMatchObject({ from: '2027-05-03' });
    expect(weeks.at(-1)?.planned).toBeCloseTo(7);
  });

  it('are refused with every fault by its field, and nothing of them is written', async () => {
    const { status, body } = await put<SeasonsDto>('/seasons', {
      version: 1,
      seasons: [
        MOWING,
        { name: 'mowing', years: [{ year: 2027, firstDay: '2027-10-24', lastDay: '2027-03-24' }] },
      ],
    });
    expect(status).toBe(422);
    expect(body.errors?.map(({ pointer, code }) => [pointer, code])).toEqual([
      ['#/seasons/1/name', 'taken'],
      ['#/seasons/1/years/0/lastDay', 'endsBeforeItBegins'],
    ]);
    expect((await yard.ask<SeasonsDto>('GET', '/api/seasons')).body).toEqual({ seasons: [], version: 1 });
  });

  it('stay while machines take part, and are refused on an old version', async () => {
    const seasonId = await mowing();
    await put(`/machines/${yard.crew.machine}/seasons`, {
      participation: [{ seasonId, hoursPerWeek: 7 }],
      version: 1,
    });
    const dropped = await put<SeasonsDto>('/seasons', { seasons: [], version: 2 });
    expect([dropped.status, dropped.body.errors?.[0]?.code]).toEqual([422, 'inUse']);
    expect((await put('/seasons', { seasons: [], version: 1 })).status).toBe(409);
  });
});

describe('a machine', () => {
  it('departs from its book with a reason, and follows it again', async () => {
    const path = `/machines/${yard.crew.machine}/overrides/${yard.crew.oil}`;
    const fields = { ...NO_OVERRIDE, dutyFactor: 0.5 };
    const { body } = await put<MachineDetailDto>(path, { ...fields, reason: 'Dust on the ball fields' });
    // New at 0 h, every 50 h × 0.5: due at 25; it has 60.
    expect(body.lines.find(({ itemId }) => itemId === yard.crew.oil)?.limits[0]).toMatchObject({
      at: 25,
      left: -35,
    });
    expect(body.overrides).toMatchObject([{ itemName: 'Engine oil and filter', dutyFactor: 0.5 }]);
    const dropped = await put<MachineDetailDto>(path, {}, 'DELETE');
    expect(dropped.body.lines.find(({ itemId }) => itemId === yard.crew.oil)?.limits[0]).toMatchObject({
      at: 50,
    });
    const refused = await put(path, { ...fields, triggers: [{ kind: 'everyHours', hours: 0 }], reason: 'x' });
    expect(refused.body.errors?.map(({ pointer }) => pointer)).toEqual(['#/triggers', '#/reason']);
    // Of a book that it does not follow it cannot depart.
    const book = { name: 'Foreign', machineClass: 'zeroTurn', meter: 'engine', items: [FOREIGN_LINE] };
    const foreign = await put<BookDto>('/books', book, 'POST');
    const away = `/machines/${yard.crew.machine}/overrides/${foreign.body.items[0]?.id}`;
    expect((await put(away, { ...fields, reason: 'Dust' })).status).toBe(404);
  });

  it('is laid up, taken out of service, retired and put back, with its history', async () => {
    const path = `/machines/${yard.crew.machine}/status`;
    const change = (status: string, version: number, since = '2027-05-12') =>
      put<MachineDetailDto>(path, { status, since, reason: 'Frost plug out', version }, 'POST');
    expect((await change('outOfService', 1)).body).toMatchObject({
      status: 'outOfService',
      statusSince: '2027-05-12',
    });
    expect((await change('retired', 1)).status).toBe(409);
    expect((await change('retired', 2, '2027-06-01')).body.errors?.[0]?.code).toBe('future');
    await change('retired', 2);
    const { body: today } = await yard.ask<TodayDto>('GET', '/api/today');
    expect(today.machines.map(({ tag }) => tag)).toEqual(['T-2']);
    const job = await yard.ask('POST', '/api/jobs', {
      body: { machineId: yard.crew.machine, itemIds: [yard.crew.oil] },
    });
    expect(job.status).toBe(409);
    const back = await change('inService', 3);
    expect(back.body.statusChanges.map(({ status }) => status)).toEqual([
      'inService',
      'retired',
      'outOfService',
    ]);
  });

  it('keeps its spec card, but no tyre above its sidewall, nor a second word on how the engine is drained', async () => {
    const path = `/machines/${yard.crew.machine}/spec`;
    const tyre = { axle: 'rear', low: 70, high: 90, sidewallMaximum: 97 };
    const kept = await put<MachineDetailDto>(path, {
      spec: { ...emptySpecCard(), tyres: [tyre] },
      version: 1,
    });
    expect(kept.body.spec.tyres).toEqual([tyre]);
    const over = {
      ...emptySpecCard(),
      tyres: [{ ...tyre, high: 120 }],
      plays: [{ name: 'Belt', low: 9, high: 7 }],
      fluids: [
        { component: 'engineOil', fluid: '', litresWithFilter: 2, drain: 'hose', grades: [] },
        { component: 'transaxleOil', fluid: '', litresWithFilter: 2, drain: 'hose', grades: [] },
      ],
    };
    const refused = await put(path, { spec: over, version: 2 });
    expect(refused.body.errors?.map(({ pointer, code }) => [pointer, code])).toEqual([
      ['#/spec/plays/0/high', 'backwards'],
      ['#/spec/tyres/0/high', 'aboveSidewall'],
      ['#/spec/fluids/0/drain', 'saidTwice'],
    ]);
  });

  it('hands parts on to others, and starts another of its kind', async () => {
    const seasonId = await mowing();
    const id = yard.crew.machine;
    await put(`/machines/${id}/seasons`, { participation: [{ seasonId, hoursPerWeek: 7 }], version: 1 });
    const path = `/machines/${id}/overrides/${yard.crew.oil}`;
    const triggers = [{ kind: 'everyHours', hours: 40, meter: 'engine', grid: null }];
    await put(path, { ...NO_OVERRIDE, triggers, reason: 'Dust on the ball fields' });
    const spec = { ...emptySpecCard(), plugs: [{ type: '5/8 in', gap: 0.762 }] };
    await put(`/machines/${id}/spec`, { spec, version: 3 });
    const attachment = { kind: 'loader', name: 'Loader', share: 0.2, hoursAtStart: 3, engineAtStart: 10 };
    const own = await put<MachineDetailDto>(`/machines/${id}/attachments`, {
      attachments: [attachment],
      version: 4,
    });
    // The engine stands at 60 h: 3 + 0.2 × (60 − 10) = 13.
    expect(own.body.attachments).toEqual([{ ...attachment, life: 13 }]);
    await put(
      `/machines/${id}/share`,
      { parts: ['seasons', 'attachments', 'overrides', 'spec'], machineIds: [yard.crew.otherMachine] },
      'POST',
    );
    const { body: other } = await yard.ask<MachineDetailDto>(
      'GET',
      `/api/machines/${yard.crew.otherMachine}`,
    );
    expect(other).toMatchObject({
      participation: [{ seasonId, hoursPerWeek: 7 }],
      version: 2,
      attachments: [{ ...attachment, hoursAtStart: 0, engineAtStart: 0 }],
      overrides: [{ itemId: yard.crew.oil, triggers }],
      spec,
    });
    const copy = await put<MachineDetailDto>(
      '/machines',
      {
        tag: 'T-3',
        name: 'Third',
        machineClass: 'zeroTurn',
        make: '',
        model: '',
        fuel: 'gasoline',
        shed: 'North shed',
        walkOrder: 3,
        inServiceOn: '2027-05-01',
        inServiceHours: 0,
        cameNew: true,
        bookIds: [yard.crew.book],
        copyOfId: id,
      },
      'POST',
    );
    expect(copy.body.participation).toEqual([{ seasonId, hoursPerWeek: 7 }]);
  });
});

describe('the schedule of the fleet', () => {
  it('has every item of every machine, and a machine has its milestones', async () => {
    const { body } = await yard.ask<FleetLineDto[]>('GET', '/api/schedule', { as: 'viewer' });
    expect(body.map(({ tag, itemName }) => `${tag} ${itemName}`).sort()).toEqual([
      ...[
        'T-1 Engine oil and filter',
        'T-1 Grease all points',
        'T-2 Engine oil and filter',
        'T-2 Grease all points',
      ],
    ]);
    const { body: milestones } = await yard.ask<MilestoneDto[]>(
      'GET',
      `/api/machines/${yard.crew.machine}/milestones`,
    );
    expect(milestones.map(({ hours }) => hours)).toEqual([50, 100, 150, 200, 250, 300, 350, 400, 450, 500]);
    expect(milestones[1]?.lines.map(({ itemName, reason }) => [itemName, reason])).toEqual([
      ['Engine oil and filter', 'onHours'],
      ['Grease all points', 'onHours'],
    ]);
  });

  it('follows the house rule for hours', async () => {
    await yard.ask('POST', `/api/machines/${yard.crew.machine}/declarations`, {
      body: { itemId: yard.crew.oil, doneOn: '2027-05-10', life: 47 },
    });
    const oilAt = async () =>
      (await machine()).lines.find(({ itemId }) => itemId === yard.crew.oil)?.limits[0]?.at;
    expect(await oilAt()).toBe(97);
    const fields = {
      hoursGrid: 'onMeter',
      unitSystem: 'us',
      dateOrder: 'monthFirst',
      staleAfterDays: 5,
      sessionIdleDays: 14,
      version: 1,
    };
    expect((await put<SiteSettingsDto>('/site', fields)).body).toMatchObject({
      hoursGrid: 'onMeter',
      version: 2,
    });
    // 47 counts for 50, within 5 h of it: next 100.
    expect(await oilAt()).toBe(100);
    expect((await put('/site', fields)).status).toBe(409);
  });

  it('is worked out afresh after every kind of change, though it is kept between', async () => {
    const life = async () =>
      (await yard.ask<TodayDto>('GET', '/api/today')).body.machines.map((each) => each.life).sort();
    expect(await life()).toEqual([30, 60]);
    await put('/round', { readings: [{ machineId: yard.crew.machine, shown: 62 }] }, 'POST');
    expect(await life()).toEqual([30, 62]);
    const { body: readings } = await yard.ask<ReadingDto[]>(
      'GET',
      `/api/machines/${yard.crew.machine}/readings`,
    );
    await put(`/readings/${readings[0]?.id}/void`, { reason: 'A slip' }, 'POST');
    expect(await life()).toEqual([30, 60]);
  });
});
