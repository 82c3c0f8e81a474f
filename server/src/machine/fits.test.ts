import type { ArticleDto, FitFieldsDto } from '@yugator/contracts';
import { proposedDraws } from '@yugator/contracts';
import { fitActs, faultsOf } from '../testing/fitActs.js';
import { jobActs } from '../testing/jobActs.js';
import { yardOfFile } from '../testing/testApp.js';

const yard = yardOfFile('Europe/London');
const { open, tick, signOff } = jobActs(() => yard);
const { article, oil, filter, receive, register, withCard, fitsOf, fit, say } = fitActs(() => yard);

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
