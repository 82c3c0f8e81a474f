import type { JobDto, RecordDto } from '@yugator/contracts';
import { sheetSteps } from '@yugator/core';
import { fitActs, faultsOf } from '../testing/fitActs.js';
import type { Refused } from '../testing/fitActs.js';
import { jobActs } from '../testing/jobActs.js';
import { yardOfFile } from '../testing/testApp.js';

const yard = yardOfFile('Europe/London');
const { open, tick, signOff, mechanic } = jobActs(() => yard);
const { oil, receive, register, withCard, fit, say } = fitActs(() => yard);

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
    const { machine, wrong, right } = await diesel();
    const line = fit('engineOil', wrong);
    const refused = await say(machine.id, [line]);
    expect(faultsOf(refused.body)).toEqual([['#/fits/0/articleId', 'wrongFluid']]);
    expect(refused.body.detail).toMatch(/for gasoline engines alone; this is a diesel/);
    expect(faultsOf((await say(machine.id, [line], 'crewLead')).body)).toEqual([
      ['#/fits/0/reason', 'needed'],
    ]);
    const answered = { ...line, reason: 'flushed at once' };
    expect((await say(machine.id, [answered], 'crewLead')).status).toBe(200);
    // A mechanic adds another line, and leaves the one that the lead answers for as it is.
    const other = await say(machine.id, [answered, fit('engineOil', right, { standing: 'equal' })]);
    expect(other.status).toBe(200);
    expect(faultsOf((await say(machine.id, [{ ...answered, reason: 'cheap' }])).body)).toEqual([
      ['#/fits/0/articleId', 'wrongFluid'],
    ]);
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
    // A mechanic goes on with the step as the lead left it.
    const goesOn = { pouredWhy: 'to get it home', jugLevel: 1.2 };
    expect((await poured(wrong, goesOn, 'mechanic', 2)).status).toBe(200);
    expect(faultsOf((await poured(wrong, { pouredWhy: 'because' }, 'mechanic', 3)).body)).toEqual([
      ['#/found/pouredId', 'wrongFluid'],
    ]);
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
