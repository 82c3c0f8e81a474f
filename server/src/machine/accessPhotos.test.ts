import { emptySpecCard } from '@yugator/contracts';
import type { JobDto, MachineDetailDto, ProblemDto } from '@yugator/contracts';
import { jobActs } from '../testing/jobActs.js';
import { jpeg, NO_PICTURE } from '../testing/pictures.js';
import { yardOfFile } from '../testing/testApp.js';

const yard = yardOfFile();
const { open } = jobActs(() => yard);

const PANEL = {
  component: 'fuelFilter',
  opens: null,
  name: 'Side panel, right',
  note: '',
  openMinutes: 3,
  closeMinutes: null,
};
const machine = () => `/api/machines/${yard.crew.machine}`;
const card = () =>
  yard.ask<MachineDetailDto>('PUT', `${machine()}/spec`, {
    body: { spec: { ...emptySpecCard(), access: [PANEL] }, version: 1 },
  });
const send = async (access: string, bytes: Buffer | null, as: 'mechanic' | 'operator' = 'mechanic') =>
  yard.ask<MachineDetailDto & Omit<ProblemDto, 'status'>>('PUT', `${machine()}/access-photos`, {
    as,
    body: { access, jpeg: bytes && bytes.toString('base64') },
  });

const NAME = 'own:Side panel, right';

describe('a photo of what has to be opened', () => {
  it('stands on the card and with the jobs of the machine, and is taken away', async () => {
    await card();
    const { body } = await send(NAME, await jpeg());
    expect(body.accessPhotos).toMatchObject([{ access: NAME }]);
    const path = body.accessPhotos[0]?.path ?? '';
    const shown = await yard.ask('GET', path, { as: 'viewer' });
    expect([shown.status, shown.headers['content-type']]).toEqual([200, 'image/jpeg']);
    const { body: job } = await open([yard.crew.oil]);
    expect(job.accessPhotos).toEqual([{ access: NAME, path }]);
    const again = await send(NAME, await jpeg({ width: 40, height: 40, isPlaced: false }));
    expect(again.body.accessPhotos).toHaveLength(1);
    expect((await yard.ask('GET', path)).status).toBe(404);
    expect((await send(NAME, null)).body.accessPhotos).toEqual([]);
    expect((await yard.ask<JobDto>('GET', `/api/jobs/${job.id}`)).body.accessPhotos).toEqual([]);
  });

  it('is refused of what the card does not name, where it is no picture, and from an operator', async () => {
    await card();
    const faultOf = async (...sent: Parameters<typeof send>) => {
      const { status, body } = await send(...sent);
      return [status, body.errors?.[0]?.pointer];
    };
    expect(await faultOf('own:Hatch', await jpeg())).toEqual([422, '#/access']);
    expect(await faultOf('', await jpeg())).toEqual([422, '#/access']);
    expect(await faultOf(NAME, NO_PICTURE)).toEqual([422, '#/jpeg']);
    expect((await send(NAME, await jpeg(), 'operator')).status).toBe(403);
  });
});
