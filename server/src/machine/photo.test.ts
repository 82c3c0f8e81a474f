import type { MachineDetailDto, ProblemDto, SessionDto } from '@yugator/contracts';
import { testApp } from '../testing/testApp.js';
import type { TestApp } from '../testing/testApp.js';

let yard: TestApp;
beforeAll(async () => {
  yard = await testApp();
});
afterAll(() => yard.close());

/** The smallest beginning and end of a JPEG. */
const JPEG = Buffer.from([0xff, 0xd8, 0xff, 0xe0, 1, 2, 3, 0xff, 0xd9]);
const send = (jpeg: string | null) =>
  yard.ask<MachineDetailDto & Omit<ProblemDto, 'status'>>('PUT', `/api/machines/${yard.crew.machine}/photo`, {
    body: { jpeg },
  });

describe('the photo of a machine', () => {
  it('is kept, shown to everybody who is signed in, and taken away', async () => {
    const { body } = await send(JPEG.toString('base64'));
    const shown = await yard.app.inject({
      ...{ method: 'GET', url: body.photo ?? '' },
      headers: { cookie: `yugator_session=${yard.crew.tokens.viewer}` },
    });
    expect([shown.statusCode, shown.headers['content-type']]).toEqual([200, 'image/jpeg']);
    expect(shown.rawPayload).toEqual(JPEG);
    expect((await yard.app.inject({ method: 'GET', url: body.photo ?? '' })).statusCode).toBe(401);
    const path = body.photo ?? '';
    expect((await send(null)).body.photo).toBeNull();
    expect((await yard.ask('GET', path)).status).toBe(404);
  });

  it('is refused where it is none', async () => {
    const { status, body } = await send(Buffer.from('no picture').toString('base64'));
    expect([status, body.errors?.[0]?.pointer]).toEqual([422, '#/jpeg']);
  });
});

describe('units', () => {
  it('are those of the site until a person chooses others', async () => {
    const session = async () => (await yard.ask<SessionDto>('GET', '/api/session', { as: 'operator' })).body;
    expect(await session()).toMatchObject({ ownUnits: null, site: { unitSystem: 'metric' } });
    await yard.ask('PUT', '/api/session/units', { as: 'operator', body: { unitSystem: 'us' } });
    expect(await session()).toMatchObject({ ownUnits: 'us', site: { unitSystem: 'us' } });
    const other = await yard.ask<SessionDto>('GET', '/api/session', { as: 'viewer' });
    expect(other.body.site.unitSystem).toBe('metric');
    const wrong = await yard.ask<ProblemDto>('PUT', '/api/session/units', { body: { unitSystem: 'old' } });
    expect(wrong.body.errors?.[0]?.pointer).toBe('#/unitSystem');
  });
});
