import { checkBody, KitPartFieldsDto } from '@yugator/contracts';
import { kitSpec } from '@yugator/core';
import type { KitLine, LinkTarget, ListFault } from '@yugator/core';
import { grouped } from '../database/grouped.js';
import { Article, KitPartRow } from '../models/shelf.model.js';
import { partFaults } from '../shelf/kitParts.js';
import { known } from '../database/known.js';
import { inChunks } from '../database/inChunks.js';
import { namedArticles } from './namedArticles.js';
import { openLinks } from './openLinks.js';
import { atHeadings } from './openList.js';
import type { OpenList, ReadyLine } from './openList.js';
import { tooManyFaults } from './tooMany.js';

type Ready = ReadyLine<KitLine, LinkTarget>;

/** What a kit holds at most, as in its form. */
const MOST = 50;

function partOf({ target: { articleId }, now: { quantity } }: Ready) {
  return { articleId, quantity };
}

/** What kits hold, as a list. */
export async function kitList(lock: boolean): Promise<OpenList<KitLine, LinkTarget>> {
  const spec = kitSpec();
  const [{ byId, named }, parts] = await Promise.all([namedArticles(lock), KitPartRow.findAll()]);
  const links = parts.map(({ kitId, articleId, quantity }) => ({
    ownerId: kitId,
    articleId,
    line: { owner: known(byId, kitId).name, article: known(byId, articleId).name, quantity },
  }));
  const owners = [...byId.values()].flatMap(({ id, name, kind, number }) =>
    kind === 'kit' ? [{ id, name, codes: number ? [number] : [] }] : [],
  );

  const faultsOf = (ready: Ready): ListFault[] => {
    const { faults, value } = checkBody(KitPartFieldsDto, partOf(ready));
    const found = faults ?? partFaults(known(byId, value.articleId), value.quantity, '');
    return atHeadings(found, ready.line, spec.columns, ([first]) =>
      first === 'quantity' ? 'quantity' : 'article',
    );
  };

  return openLinks(
    spec,
    { owners, articles: named, links },
    {
      judge: (lines) =>
        Promise.resolve([
          ...lines.flatMap(faultsOf),
          ...tooManyFaults(lines, links, MOST, 'A kit holds 50 articles at most.'),
        ]),
      write: async (lines) => {
        await inChunks(lines, (chunk) =>
          KitPartRow.bulkCreate(
            chunk.map((ready) => ({ ...partOf(ready), kitId: ready.target.ownerId })),
            { updateOnDuplicate: ['quantity'] },
          ),
        );
        const touched = [...grouped(lines, ({ target }) => target.ownerId).keys()];
        await Article.increment('version', { where: { id: touched } });
      },
    },
  );
}
