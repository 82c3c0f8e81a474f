import type { ArticleDto } from '@yugator/contracts';
import { fitActs } from '../testing/fitActs.js';
import type { Refused } from '../testing/fitActs.js';
import { jpeg, NO_PICTURE } from '../testing/pictures.js';
import { yardOfFile } from '../testing/testApp.js';

const yard = yardOfFile();
const { article } = fitActs(() => yard);
const send = (id: string, bytes: Buffer | null, as: 'mechanic' | 'operator' = 'mechanic') =>
  yard.ask<ArticleDto & Refused>('PUT', `/api/articles/${id}/photo`, {
    as,
    body: { jpeg: bytes && bytes.toString('base64') },
  });

describe('a photo of an article', () => {
  it('stands with it for everybody, is replaced, and is taken away', async () => {
    const id = await article({ name: 'Plug' });
    const { body } = await send(id, await jpeg());
    const path = body.photo ?? '';
    const shown = await yard.ask('GET', path, { as: 'viewer' });
    expect([shown.status, shown.headers['content-type']]).toEqual([200, 'image/jpeg']);
    const again = await send(id, await jpeg({ width: 40, height: 40, isPlaced: false }));
    expect(again.body.photo).not.toBe(path);
    expect((await yard.ask('GET', path)).status).toBe(404);
    expect((await send(id, null)).body.photo).toBeNull();
  });

  it('is refused where it is no picture, of what is not there, and from an operator', async () => {
    const id = await article({ name: 'Plug' });
    expect((await send(id, NO_PICTURE)).status).toBe(422);
    expect((await send(yard.crew.machine, await jpeg())).status).toBe(404);
    expect((await send(id, await jpeg(), 'operator')).status).toBe(403);
  });

  it('goes over to the article that it is merged with, unless that has one', async () => {
    const [one, twin, third] = [
      await article({ name: 'Plug' }),
      await article({ name: 'Plug, old' }),
      await article({ name: 'Plug, older' }),
    ];
    await send(twin, await jpeg());
    await send(third, await jpeg());
    const merge = async (id: string, intoVersion: number) =>
      (
        await yard.ask<ArticleDto>('POST', `/api/articles/${id}/merge`, {
          body: { intoId: one, version: 1, intoVersion },
        })
      ).body.photo;
    const photo = await merge(twin, 1);
    expect((await yard.ask('GET', photo ?? '')).status).toBe(200);
    expect(await merge(third, 2)).toBe(photo);
  });
});
