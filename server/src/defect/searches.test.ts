import type { DefectDto, DefectPageDto, JobDto, ProblemDto } from '@yugator/contracts';
import { jobActs } from '../testing/jobActs.js';
import { yardOfFile } from '../testing/testApp.js';

const yard = yardOfFile();
const { signOff, ready } = jobActs(() => yard);

type Answer = DefectDto[] & Omit<ProblemDto, 'status'>;
const post = (path: string, body: object, as: 'operator' | 'viewer' = 'operator') =>
  yard.ask<Answer>('POST', `/api${path}`, { as, body });
const report = (search: object) =>
  post(`/machines/${yard.crew.machine}/defects`, { words: 'Does not start', severity: 'soon', search });

const FLAT = { turns: 'slow', rest: 11.9, charged: 12.1, fuse: 'blown' };

describe('a search why a machine does not start', () => {
  it('is kept with the defect that it found: who, when, what was measured, and what it came to', async () => {
    const { body } = await report(FLAT);
    // The fuse of what turns slowly is not asked for.
    const answers = { turns: 'slow', rest: 11.9, charged: 12.1 };
    expect(body).toMatchObject([
      {
        words: 'Does not start',
        searches: [{ on: '2027-05-13', by: 'operator', verdict: 'newBattery', answers }],
      },
    ]);
    expect(body[0]?.searches[0]?.answers).toEqual(answers);
    const again = await post(`/defects/${body[0]?.id}/searches`, { answers: { turns: 'cranks' } });
    expect(again.body[0]?.searches.map(({ verdict }) => verdict)).toEqual(['newBattery', 'fuelOrSpark']);
  });

  it('that has not come to its end is not kept, nor one with figures that no battery has', async () => {
    expect((await report({ turns: 'slow' })).body.errors).toMatchObject([
      { pointer: '#/search', code: 'open' },
    ]);
    expect((await report({ turns: 'slow', rest: 240 })).body.errors?.[0]?.pointer).toBe('#/search/rest');
    expect((await report({ turns: 'explodes' })).body.errors?.[0]?.pointer).toBe('#/search/turns');
    expect((await report(FLAT)).status).toBe(201);
    const { body } = await yard.ask<DefectPageDto>('GET', '/api/defects');
    expect(body.total).toBe(1);
  });

  it('is kept by who may report, with a defect that is open', async () => {
    const id = (await report(FLAT)).body[0]?.id ?? '';
    const answers = { turns: 'cranks' };
    expect((await post(`/defects/${id}/searches`, { answers }, 'viewer')).status).toBe(403);
    expect((await post(`/defects/${yard.crew.machine}/searches`, { answers })).status).toBe(404);
    const job: JobDto = await ready();
    await signOff(job, { mendedDefectIds: [id] });
    const mended = await post(`/defects/${id}/searches`, { answers });
    expect([mended.status, mended.body.title]).toEqual([409, 'Mended']);
  });
});
