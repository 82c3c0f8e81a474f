import type {
  ArticleDto,
  CreateArticleDto,
  FitFieldsDto,
  FitsDto,
  JobDto,
  MachineDetailDto,
  ProblemDto,
  RecordDto,
  SpecCardDto,
} from '@yugator/contracts';
import { emptySpecCard, proposedDraws } from '@yugator/contracts';
import { jobActs } from '../testing/jobActs.js';
import { yardOfFile } from '../testing/testApp.js';

const yard = yardOfFile('Europe/London');
const { open, tick, signOff, mechanic } = jobActs(() => yard);

type Refused = Omit<ProblemDto, 'status'>;

async function article(fields: Partial<CreateArticleDto> & { name: string }): Promise<string> {
  const plain = { kind: 'part', unit: 'piece', leastOnHand: 0, priceMinor: 500 };
  const made = await yard.ask<ArticleDto & Refused>('POST', '/api/articles', {
    body: { ...plain, ...fields },
  });
  expect([fields.name, made.status, made.body.errors ?? []]).toEqual([fields.name, 201, []]);
  return made.body.id;
}

const oil = (name: string, grade: string, ...categories: string[]) =>
  article({
    name,
    kind: 'fluid',
    unit: 'litre',
    component: 'engineOil',
    fluid: { kind: 'engineOil', grade, categories },
  } as Parameters<typeof article>[0]);

const FILTER = { height: 80, outside: 76, gasket: 62, thread: '3/4-16 UNF', bypass: null };
const filter = (
  name: string,
  over: Partial<typeof FILTER> = {},
  makerNumbers: ArticleDto['makerNumbers'] = [],
) => article({ name, component: 'engineOilFilter', filter: { ...FILTER, ...over }, makerNumbers });

const receive = (id: string, quantity: number) =>
  yard.ask('POST', `/api/articles/${id}/movements`, { body: { kind: 'received', quantity } });

/** A machine of a make and model on the book of the yard, with an engine that takes 2 L with its filter. */
async function register(tag: string, over: object = {}): Promise<MachineDetailDto> {
  const { body } = await yard.ask<MachineDetailDto>('POST', '/api/machines', {
    body: {
      tag,
      name: 'Hillside',
      machineClass: 'zeroTurn',
      fuel: 'gasoline',
      make: 'Verrick',
      model: 'Z52',
      shed: 'North shed',
      walkOrder: 50,
      inServiceOn: '2027-01-04',
      inServiceHours: 0,
      cameNew: true,
      bookIds: [yard.crew.book],
      ...over,
    },
  });
  return body;
}

async function withCard(machine: MachineDetailDto, category: string): Promise<void> {
  const grades = [{ grade: '10W-30', category, fromCelsius: null, toCelsius: null }];
  const engine = {
    component: 'engineOil' as const,
    fluid: '',
    litresWithFilter: 2,
    litresWithoutFilter: 1.7,
    grades,
  };
  const spec: SpecCardDto = { ...emptySpecCard(), fluids: [engine] };
  const { status } = await yard.ask('PUT', `/api/machines/${machine.id}/spec`, {
    body: { spec, version: machine.version },
  });
  expect(status).toBe(200);
}

const fitsOf = async (id: string) => (await yard.ask<FitsDto>('GET', `/api/machines/${id}/fits`)).body;

const fit = (
  component: FitFieldsDto['component'],
  articleId: string,
  over: Partial<FitFieldsDto> = {},
): FitFieldsDto => ({
  component,
  articleId,
  quantity: null,
  standing: 'original',
  reason: '',
  ...over,
});

async function say(
  machineId: string,
  fits: readonly FitFieldsDto[],
  as: 'mechanic' | 'crewLead' = 'mechanic',
) {
  const { version } = await fitsOf(machineId);
  return yard.ask<FitsDto & Refused>('PUT', `/api/machines/${machineId}/fits`, {
    as,
    body: { fits, version },
  });
}

const faultsOf = ({ errors = [] }: Refused) => errors.map(({ pointer, code }) => [pointer, code]);

describe('what fits a machine', () => {
  it('is said by component, follows into its jobs, and opens a kit for what is missing', async () => {
    const machine = await register('Z-1');
    await withCard(machine, 'API SJ or later');
    const [thirty, black] = [await oil('10W-30', '10W-30', 'API SN'), await filter('Black filter')];
    const plug = await article({ name: 'Plug', component: 'sparkPlugs', priceMinor: 300 });
    const said = await say(machine.id, [fit('engineOil', thirty), fit('engineOilFilter', black)]);
    expect(said.body.fits).toMatchObject([
      { component: 'engineOil', name: '10W-30', unit: 'litre', onHand: 0 },
      { component: 'engineOilFilter', name: 'Black filter', unit: 'piece' },
    ]);
    await receive(thirty, 20);
    const { body: kit } = await yard.ask<ArticleDto>('PUT', `/api/articles/${yard.crew.kit}`, {
      body: {
        name: 'Oil change kit',
        leastOnHand: 2,
        priceMinor: 2890,
        version: 1,
        contents: [
          { articleId: thirty, quantity: 1.9 },
          { articleId: black, quantity: 1 },
          { articleId: plug, quantity: 2 },
        ],
      },
    });
    expect(kit.contents).toHaveLength(3);
    const job = (await tick((await open([yard.crew.oil], machine.id)).body)).body;
    expect(job.needs).toMatchObject([
      { articleId: thirty, quantity: 2, component: 'engineOil', judgement: { verdict: 'suits', faults: [] } },
      { articleId: black, quantity: 1, component: 'engineOilFilter', judgement: null },
    ]);
    // Of the kit 1.9 L and the filter are used: the tenth of a litre comes loose, and two plugs are left.
    expect(proposedDraws(job)).toMatchObject([
      { articleId: yard.crew.kit, quantity: 1, left: [{ articleId: plug, quantity: 2 }] },
      { articleId: thirty, quantity: 0.1, left: [] },
    ]);
    expect((await signOff(job, { shown: 12 })).status).toBe(201);
    // The plugs lie on the shelf for the next job that takes some.
    const plugs = (await yard.ask<ArticleDto[]>('GET', '/api/articles')).body.find(({ id }) => id === plug);
    expect(plugs).toMatchObject({ onHand: 2, movements: [{ kind: 'left' }] });
  });

  it('is taken over by the next machine of its make and model, and handed on to others', async () => {
    const first = await register('Z-1');
    const black = await filter('Black filter');
    await say(first.id, [fit('engineOilFilter', black)]);
    const names = async (id: string) => (await fitsOf(id)).fits.map(({ name }) => name);
    expect(await names((await register('Z-2')).id)).toEqual(['Black filter']);
    const other = await register('Z-3', { model: 'Z60' });
    expect(await names(other.id)).toEqual([]);
    expect(await names((await register('Z-4', { make: '', model: '' })).id)).toEqual([]);
    const { status } = await yard.ask('POST', `/api/machines/${first.id}/share`, {
      body: { parts: ['fits'], machineIds: [other.id] },
    });
    expect([status, await names(other.id)]).toEqual([201, ['Black filter']]);
    const copied = await register('Z-5', { model: 'Z70', copyOfId: first.id });
    expect(await names(copied.id)).toEqual(['Black filter']);
  });

  it('is not written over by who saw an older state, nor said by operators', async () => {
    const { id } = await register('Z-1');
    const body = { fits: [], version: 1 };
    await say(id, []);
    expect((await yard.ask('PUT', `/api/machines/${id}/fits`, { body })).status).toBe(409);
    expect((await yard.ask('PUT', `/api/machines/${id}/fits`, { as: 'operator', body })).status).toBe(403);
  });

  it('refuses what is no part of the machine, a kit, another component, half a piece, and a substitute without why', async () => {
    const { id } = await register('Z-1');
    const black = await filter('Black filter');
    const cases: [FitFieldsDto, string, string][] = [
      [fit('coolant', black), 'component', 'notHere'],
      [fit('engineOil', yard.crew.kit), 'articleId', 'kit'],
      [fit('airFilter', black), 'articleId', 'otherComponent'],
      [fit('engineOilFilter', black, { quantity: 1.5 }), 'quantity', 'notWhole'],
      [fit('engineOilFilter', black, { standing: 'substitute' }), 'reason', 'needed'],
      [fit('engineOilFilter', yard.crew.machine), 'articleId', 'unknown'],
    ];
    for (const [line, field, code] of cases) {
      const refused = await say(id, [line]);
      expect([code, refused.status, faultsOf(refused.body)]).toEqual([
        code,
        422,
        [[`#/fits/0/${field}`, code]],
      ]);
    }
    expect((await fitsOf(id)).fits).toEqual([]);
  });

  it('refuses a smaller filter to everybody, and takes a larger one, the maker’s own succession, and one compared in the shed', async () => {
    const { id } = await register('Z-1');
    const black = await filter('Black filter', {}, [
      { maker: 'Verrick', number: 'VF 1', supersededBy: 'VF 2' },
    ]);
    const original = fit('engineOilFilter', black);
    const beside = async (other: string, reason: string) => {
      const line = fit('engineOilFilter', other, { standing: 'substitute', reason });
      const { status, body } = await say(id, [original, line], 'crewLead');
      return status === 200 ? 'taken' : faultsOf(body);
    };
    expect(await beside(await filter('Short', { height: 60 }), 'it was cheap')).toEqual([
      ['#/fits/1/articleId', 'figuresRefuse'],
    ]);
    expect(await beside(await filter('Tall', { height: 110 }), 'there is room for it')).toBe('taken');
    const newer = [{ maker: 'Verrick', number: 'VF-2', supersededBy: '' }];
    expect(await beside(await filter('Newer', { height: 60 }, newer), 'new number')).toBe('taken');
    const equal = fit('engineOilFilter', await filter('Half measured', { gasket: null as never }), {
      standing: 'equal',
    });
    expect(faultsOf((await say(id, [original, equal])).body)).toEqual([['#/fits/1/reason', 'needed']]);
    expect((await say(id, [original, { ...equal, reason: 'compared in the shed' }])).status).toBe(200);
  });

  it("keeps to the maker's own while a machine is under warranty", async () => {
    const { id } = await register('Z-1', { warrantyUntil: '2028-01-01' });
    const own = await filter('Own', {}, [{ maker: 'Verrick', number: 'VF 1', supersededBy: '' }]);
    const other = await filter('Other', {}, [{ maker: 'Marlow', number: 'M 1', supersededBy: '' }]);
    expect((await fitsOf(id)).underWarranty).toBe(true);
    const refused = await say(id, [
      fit('engineOilFilter', own),
      fit('engineOilFilter', other, { standing: 'equal' }),
    ]);
    expect(faultsOf(refused.body)).toEqual([['#/fits/1/articleId', 'houseRuleWarranty']]);
  });
});

describe('a fluid that does not belong', () => {
  async function diesel() {
    const machine = await register('D-1', { fuel: 'diesel' });
    await withCard(machine, 'API CI-4 or later');
    const right = await oil('Diesel oil', '10W-30', 'API CK-4');
    const wrong = await oil('Petrol oil', '10W-30', 'API SN');
    await receive(right, 20);
    await receive(wrong, 20);
    return { machine, right, wrong };
  }

  it('does not fit: the crew lead alone says so, with a reason', async () => {
    const { machine, wrong } = await diesel();
    const line = fit('engineOil', wrong);
    const refused = await say(machine.id, [line]);
    expect(faultsOf(refused.body)).toEqual([['#/fits/0/articleId', 'wrongFluid']]);
    expect(refused.body.detail).toMatch(/for gasoline engines alone; this is a diesel/);
    expect(faultsOf((await say(machine.id, [line], 'crewLead')).body)).toEqual([
      ['#/fits/0/reason', 'needed'],
    ]);
    expect((await say(machine.id, [{ ...line, reason: 'flushed at once' }], 'crewLead')).status).toBe(200);
  });

  it('is not drawn at the sign-off, loose or in a kit, unless the crew lead says why; that stays in the record', async () => {
    const { machine, wrong, right } = await diesel();
    const job = (await tick((await open([yard.crew.oil], machine.id)).body)).body;
    const draws = [{ articleId: wrong, quantity: 2 }];
    const refused = await signOff<Refused>(job, { shown: 12, draws });
    expect([refused.status, faultsOf(refused.body)]).toEqual([422, [['#/draws/0/articleId', 'wrongFluid']]]);
    await yard.ask('PUT', `/api/articles/${yard.crew.kit}`, {
      body: {
        name: 'Petrol kit',
        leastOnHand: 0,
        priceMinor: 900,
        version: 1,
        contents: [{ articleId: wrong, quantity: 2 }],
      },
    });
    const kit = [{ articleId: yard.crew.kit, quantity: 1 }];
    expect((await signOff(job, { shown: 12, draws: kit })).status).toBe(422);
    // What is left of the kit was not used.
    const left = [{ articleId: wrong, quantity: 2 }];
    const lead = async (over: object) =>
      yard.ask<JobDto & Refused>('POST', `/api/jobs/${job.id}/sign-off`, {
        body: {
          doneOn: '2027-05-13',
          shown: 12,
          doneById: yard.crew.people.mechanic,
          minutes: 30,
          draws,
          version: job.version,
          ...over,
        },
      });
    expect(faultsOf((await lead({})).body)).toEqual([['#/fluidReason', 'needed']]);
    const unused = [
      { articleId: yard.crew.kit, quantity: 1, left },
      { articleId: right, quantity: 2 },
    ];
    const { status, body } = await lead({
      draws: [...unused, ...draws],
      fluidReason: 'nothing else was there',
    });
    expect(status).toBe(201);
    const record: RecordDto | null = body.record;
    expect(record?.fluidReason).toBe('nothing else was there');
  });

  it('is not poured at its step, and what was poured instead is what the sign-off proposes', async () => {
    const { machine, wrong, right } = await diesel();
    await say(machine.id, [fit('engineOil', right)]);
    const other = await oil('Fleet oil', '10W-30', 'API CK-4', 'API SN');
    const job = (await open([yard.crew.oil], machine.id)).body;
    const { sheetSteps } = await import('@yugator/core');
    const pour = sheetSteps(job.setUp).find(({ phase, fills }) => phase === 'firstPour' && fills);
    const at = `/api/jobs/${job.id}/steps/${encodeURIComponent(pour?.key ?? '')}`;
    const poured = (
      pouredId: string,
      over: object = {},
      as: 'mechanic' | 'crewLead' = 'mechanic',
      version = 0,
    ) =>
      yard.ask<Refused>('PUT', at, {
        as,
        body: { found: { poured: 'x', pouredId, pouredFor: 'engineOil', ...over }, version },
      });
    expect(faultsOf((await poured(wrong)).body)).toEqual([['#/found/pouredId', 'wrongFluid']]);
    expect(faultsOf((await poured(wrong, {}, 'crewLead')).body)).toEqual([['#/found/pouredWhy', 'needed']]);
    expect(faultsOf((await poured(yard.crew.kit)).body)).toEqual([['#/found/pouredId', 'unknown']]);
    expect(faultsOf((await poured(other, { pouredFor: 'coolant' })).body)).toEqual([
      ['#/found/pouredId', 'unknown'],
    ]);
    expect((await poured(other)).status).toBe(200);
    const now = (await yard.ask<JobDto>('GET', `/api/jobs/${job.id}`, mechanic)).body;
    expect(now.needs).toMatchObject([{ articleId: other, quantity: 2, name: 'Fleet oil' }]);
    // The lead's reason at the step is not asked for again at the sign-off, and stays in the record.
    expect((await poured(wrong, { pouredWhy: 'to get it home' }, 'crewLead', 1)).status).toBe(200);
    const ready = (await tick((await yard.ask<JobDto>('GET', `/api/jobs/${job.id}`, mechanic)).body)).body;
    const { status, body } = await signOff(ready, { shown: 12 });
    expect([status, body.record?.draws[0]?.name, body.record?.fluidReason]).toEqual([
      201,
      'Petrol oil',
      'to get it home',
    ]);
  });

  it('is not topped up with', async () => {
    const { machine, wrong, right } = await diesel();
    const top = (articleId: string, as: 'mechanic' | 'crewLead' = 'mechanic', reason = '') =>
      yard.ask<Refused>('POST', `/api/machines/${machine.id}/top-ups`, {
        as,
        body: { component: 'engineOil', litres: 0.3, grade: '10W-30', articleId, reason },
      });
    expect(faultsOf((await top(wrong)).body)).toEqual([['#/articleId', 'wrongFluid']]);
    expect(faultsOf((await top(wrong, 'crewLead')).body)).toEqual([['#/reason', 'needed']]);
    expect((await top(wrong, 'crewLead', 'on the far field')).status).toBe(201);
    expect((await top(right)).status).toBe(201);
  });
});

describe('an article', () => {
  it('keeps what its label says and what was measured; what is left out stays', async () => {
    const id = await filter('Black filter', {}, [{ maker: 'Verrick', number: 'VF 1', supersededBy: '' }]);
    const change = async (over: object) =>
      yard.ask<ArticleDto & Refused>('PUT', `/api/articles/${id}`, {
        as: 'mechanic',
        body: { name: 'Black filter', leastOnHand: 2, priceMinor: 700, contents: [], ...over },
      });
    const placed = await change({ number: 'F-9', barcode: '4006', place: 'Rack B', version: 1 });
    expect(placed.body).toMatchObject({ number: 'F-9', barcode: '4006', place: 'Rack B', filter: FILTER });
    expect((await change({ version: 2 })).body).toMatchObject({
      number: 'F-9',
      makerNumbers: [{ number: 'VF 1' }],
    });
    // No longer bought: nothing is wanted of it.
    expect((await change({ isRetired: true, version: 3 })).body).toMatchObject({
      isRetired: true,
      state: 'enough',
    });
    expect((await change({ isRetired: false, version: 4 })).body.state).toBe('out');
    const wrong = await change({ component: 'engineOil', version: 5 });
    expect(faultsOf(wrong.body)).toEqual([['#/component', 'doesNotGo']]);
  });

  it('shares neither name, number nor code with another', async () => {
    await article({ name: 'One', number: 'A1', barcode: '111' });
    const fields = { kind: 'part', unit: 'piece', leastOnHand: 0, priceMinor: 0 };
    const taken = async (over: object) =>
      faultsOf((await yard.ask<Refused>('POST', '/api/articles', { body: { ...fields, ...over } })).body);
    expect(await taken({ name: 'one' })).toEqual([['#/name', 'taken']]);
    expect(await taken({ name: 'Two', number: 'a1' })).toEqual([['#/number', 'taken']]);
    expect(await taken({ name: 'Two', barcode: 'A1' })).toEqual([['#/barcode', 'taken']]);
    expect(await taken({ name: 'Two', number: '', barcode: '' })).toEqual([]);
    expect(await taken({ name: 'Three', number: '', barcode: '' })).toEqual([]);
  });

  it.each([
    [
      'a grade on a part',
      { kind: 'part', fluid: { kind: 'engineOil', grade: '10W-30', categories: [] } },
      '#/fluid',
    ],
    [
      'gear oil of an engine category',
      { kind: 'fluid', fluid: { kind: 'gearOil', grade: '', categories: ['API SN'] } },
      '#/fluid/categories',
    ],
    [
      'a category that is none',
      { kind: 'fluid', fluid: { kind: 'gearOil', grade: '', categories: ['API XX'] } },
      '#/fluid/categories',
    ],
    ['measures of a filter without saying which', { kind: 'part', filter: FILTER }, '#/component'],
    ['a component of a kit', { kind: 'kit', component: 'airFilter' }, '#/component'],
    [
      'a height below nothing',
      { kind: 'part', component: 'airFilter', filter: { ...FILTER, height: -1 } },
      '#/filter/height',
    ],
  ])('does not take %s', async (_what, over, pointer) => {
    const fields = { name: 'Thing', unit: 'piece', leastOnHand: 0, priceMinor: 0, ...over };
    const { status, body } = await yard.ask<Refused>('POST', '/api/articles', { body: fields });
    expect([status, body.errors?.[0]?.pointer]).toEqual([422, pointer]);
  });
});
