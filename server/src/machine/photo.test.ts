import sharp from 'sharp';
import type { MachineDetailDto, ProblemDto, SessionDto } from '@yugator/contracts';
import { PhotoCount } from '../models/photoCount.model.js';
import { jpeg, NO_PICTURE } from '../testing/pictures.js';
import { testApp } from '../testing/testApp.js';
import type { TestApp } from '../testing/testApp.js';

let yard: TestApp;
beforeAll(async () => {
  yard = await testApp();
});
afterAll(() => yard.close());

const send = (jpeg: string | null) =>
  yard.ask<MachineDetailDto & Omit<ProblemDto, 'status'>>('PUT', `/api/machines/${yard.crew.machine}/photo`, {
    body: { jpeg },
  });

const PAGE = Buffer.concat([Buffer.from([0xff, 0xd8, 0xff]), Buffer.from('<script>alert(1)</script>')]);

/** A JPEG whose frame header (marker C0) says another height and width. */
function claiming(bytes: Buffer, pixels: number): Buffer {
  const at = bytes.indexOf(Buffer.from([0xff, 0xc0]));
  const odd = Buffer.from(bytes);
  odd.writeUInt16BE(pixels, at + 5);
  odd.writeUInt16BE(pixels, at + 7);
  return odd;
}

describe('the photo of a machine', () => {
  it('is kept, shown to everybody who is signed in, and taken away', async () => {
    const { body } = await send((await jpeg({ width: 3000, height: 60, isPlaced: true })).toString('base64'));
    const shown = await yard.app.inject({
      method: 'GET',
      url: body.photo ?? '',
      headers: { cookie: `yugator_session=${yard.crew.tokens.viewer}` },
    });
    expect([shown.statusCode, shown.headers['content-type']]).toEqual([200, 'image/jpeg']);
    const kept = await sharp(shown.rawPayload).metadata();
    expect([kept.width, kept.height, kept.format]).toEqual([2048, 41, 'jpeg']);
    expect([kept.exif, kept.xmp, kept.iptc]).toEqual([undefined, undefined, undefined]);
    expect((await yard.app.inject({ method: 'GET', url: body.photo ?? '' })).statusCode).toBe(401);
    const path = body.photo ?? '';
    expect((await send(null)).body.photo).toBeNull();
    expect((await yard.ask('GET', path)).status).toBe(404);
  });

  it.each([
    ['is no picture', () => Promise.resolve(NO_PICTURE)],
    ['is a page behind the beginning of a JPEG', () => Promise.resolve(PAGE)],
    ['claims 65,535 by 65,535 pixels', async () => claiming(await jpeg(), 65_535)],
  ])('is refused where it %s', async (_what, bytes) => {
    const { status, body } = await send((await bytes()).toString('base64'));
    expect([status, body.errors?.[0]?.pointer]).toEqual([422, '#/jpeg']);
    expect(body.detail).toContain('no picture');
  });

  it('is kept without what stood behind it in the file', async () => {
    const { body } = await send(Buffer.concat([await jpeg(), PAGE.subarray(3)]).toString('base64'));
    const shown = await yard.app.inject({
      method: 'GET',
      url: body.photo ?? '',
      headers: { cookie: `yugator_session=${yard.crew.tokens.viewer}` },
    });
    expect(shown.rawPayload.includes('<script>')).toBe(false);
  });

  it('is kept 200 times a day by one person at most', async () => {
    await PhotoCount.destroy({ where: {} });
    await PhotoCount.create({ personId: yard.crew.people.crewLead, takenOn: '2027-05-13', photos: 199 });
    const photo = (await jpeg()).toString('base64');
    expect((await send(photo)).status).toBe(200);
    const { status, body } = await send(photo);
    expect([status, body.detail]).toEqual([409, 'Each person keeps 200 photos a day at most.']);
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
