import { checkBody, OfferFieldsDto } from '@yugator/contracts';
import { priceSpec } from '@yugator/core';
import type { LinkTarget, ListFault, PriceLine } from '@yugator/core';
import { grouped } from '../database/grouped.js';
import { OfferRow, Supplier } from '../models/buying.model.js';
import { pieceFaults } from '../shelf/wholePieces.js';
import { known } from '../database/known.js';
import { inChunks } from '../database/inChunks.js';
import { namedArticles } from './namedArticles.js';
import { openLinks } from './openLinks.js';
import { atHeadings } from './openList.js';
import type { OpenList, ReadyLine } from './openList.js';
import { tooManyFaults } from './tooMany.js';

type Ready = ReadyLine<PriceLine, LinkTarget>;

/** What a supplier sells at most, as in its form. */
const MOST = 1_000;

function columnOf([first]: readonly string[]): keyof PriceLine & string {
  return first === 'number' || first === 'pack' || first === 'priceMinor' || first === 'leadDays'
    ? first
    : 'article';
}

function offerOf({ target: { articleId }, now: { number, pack, priceMinor, leadDays } }: Ready) {
  return { articleId, number, pack, priceMinor, leadDays };
}

/** What suppliers sell, as a list. */
export async function priceList(currency: string, lock: boolean): Promise<OpenList<PriceLine, LinkTarget>> {
  const spec = priceSpec(currency);
  const [{ byId, named }, suppliers, offers] = await Promise.all([
    namedArticles(),
    Supplier.findAll({ order: ['name'], lock }),
    OfferRow.findAll(),
  ]);
  const suppliersById = new Map(suppliers.map((supplier) => [supplier.id, supplier]));
  const links = offers.map(({ supplierId, articleId, number, pack, priceMinor, leadDays }) => ({
    ownerId: supplierId,
    articleId,
    line: {
      owner: known(suppliersById, supplierId).name,
      article: known(byId, articleId).name,
      number,
      pack,
      priceMinor,
      leadDays,
    },
  }));
  const owners = suppliers.map(({ id, name }) => ({ id, name, codes: [] }));

  const faultsOf = (ready: Ready): ListFault[] => {
    const { faults, value } = checkBody(OfferFieldsDto, offerOf(ready));
    const found = faults ?? pieceFaults(known(byId, value.articleId), value.pack, '/pack');
    return atHeadings(found, ready.line, spec.columns, columnOf);
  };

  return openLinks(
    spec,
    { owners, articles: named, links },
    {
      judge: (lines) =>
        Promise.resolve([
          ...lines.flatMap(faultsOf),
          ...tooManyFaults(lines, links, MOST, 'A supplier sells 1,000 articles at most.'),
        ]),
      write: async (lines) => {
        await inChunks(lines, (chunk) =>
          OfferRow.bulkCreate(
            chunk.map((ready) => ({ ...offerOf(ready), supplierId: ready.target.ownerId })),
            { updateOnDuplicate: ['number', 'priceMinor', 'leadDays'] },
          ),
        );
        const touched = [...grouped(lines, ({ target }) => target.ownerId).keys()];
        await Supplier.increment('version', { where: { id: touched } });
      },
    },
  );
}
