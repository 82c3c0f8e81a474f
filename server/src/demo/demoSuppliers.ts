import { addDays, instantOnDay } from '@yugator/core';
import type { CivilDate } from '@yugator/core';
import { v7 as uuid } from 'uuid';
import { known } from '../database/known.js';
import { OfferRow, Order, OrderLine, Supplier } from '../models/buying.model.js';
import { Article, Movement } from '../models/shelf.model.js';
import { ARTICLES } from './articles.js';
import type { DemoArticle } from './articles.js';
import { TIME_ZONE } from './larkmere.js';

/** A pack, and what it costs beside so many single ones. */
type Pack = readonly [holds: number, share: number];

interface DemoSupplier {
  readonly name: string;
  readonly leadDays: number;
  readonly carriageMinor: number;
  readonly freeFromMinor: number | null;
  readonly note: string;
  readonly sells: (article: DemoArticle) => readonly Pack[];
}

const PLUGS = 'sparkPlugs';
const PRICES = new Map(ARTICLES.map(({ name, priceMinor }) => [name, priceMinor]));

/** Four invented places to buy at: the counter in town, the dealer in kits, the oil merchant, and the one from far away. */
const SUPPLIERS: readonly DemoSupplier[] = [
  {
    name: 'Tarnside Farm Stores',
    leadDays: 0,
    carriageMinor: 0,
    freeFromMinor: null,
    note: 'The counter in town: dear, and there today',
    sells: ({ kind, unit, component }) => {
      if (kind === 'kit' || component === 'transmissionStrainer') return [];
      return unit === 'litre'
        ? [
            [1, 1.3],
            [5, 1.15],
          ]
        : [[1, 1.15]];
    },
  },
  {
    name: 'Hollin Mower Spares',
    leadDays: 3,
    carriageMinor: 650,
    freeFromMinor: 12_000,
    note: '',
    sells: ({ kind, unit, component }) => {
      if (kind === 'kit') return [[1, 1]];
      if (unit === 'litre') return [];
      return component === PLUGS
        ? [
            [1, 1],
            [10, 0.85],
          ]
        : [[1, 1]];
    },
  },
  {
    name: 'Brackwater Oils',
    leadDays: 5,
    carriageMinor: 1200,
    freeFromMinor: 20_000,
    note: 'Takes empty drums back',
    sells: ({ unit }) =>
      unit === 'litre'
        ? [
            [5, 1],
            [20, 0.86],
          ]
        : [],
  },
  {
    name: 'Farrow Parts by Post',
    leadDays: 14,
    carriageMinor: 950,
    freeFromMinor: 15_000,
    note: 'Cheap and slow',
    sells: ({ kind, unit, name }) => {
      if (unit === 'litre') return [];
      if (kind === 'kit') return [[1, 0.92]];
      return name.startsWith('Air filter') || name.startsWith('Fuel filter')
        ? [
            [1, 0.88],
            [5, 0.8],
          ]
        : [[1, 0.88]];
    },
  },
];

/** An order as it stands: so many of an article, of which so many have arrived. */
interface DemoOrder {
  readonly from: string;
  readonly orderedDaysAgo: number;
  readonly expectedInDays: number;
  readonly note: string;
  readonly lines: readonly (readonly [article: string, ordered: number, arrived: number])[];
}

/** One of which half is here, and one that comes later than work is due that waits for it. */
const ORDERS: readonly DemoOrder[] = [
  {
    from: 'Hollin Mower Spares',
    orderedDaysAgo: 4,
    expectedInDays: 2,
    note: 'The rest follows, they say',
    lines: [
      ['Fuel filter, in-line', 6, 6],
      ['Air filter, utility vehicle', 4, 0],
      ['Hydraulic filter pair, utility vehicle', 4, 2],
    ],
  },
  {
    from: 'Farrow Parts by Post',
    orderedDaysAgo: 1,
    expectedInDays: 17,
    note: 'The maker is behind',
    lines: [
      ['Hydro filter, zero-turn', 4, 0],
      ['Oil filter, utility vehicle', 3, 0],
    ],
  },
];

/** Suppliers with what they sell, and what was ordered from them; `today`: of the demonstration. */
export async function writeDemoSuppliers(leadId: string, today: CivilDate): Promise<void> {
  const articles = await Article.findAll({ attributes: ['id', 'name'], raw: true });
  const idByName = new Map(articles.map(({ id, name }) => [name, id]));
  const suppliers = SUPPLIERS.map((supplier) => ({ ...supplier, id: uuid() }));
  await Supplier.bulkCreate(suppliers.map(({ sells: _sells, ...columns }) => columns));
  await OfferRow.bulkCreate(
    suppliers.flatMap(({ id: supplierId, name, sells }) =>
      ARTICLES.flatMap((article) =>
        sells(article).map(([pack, share]) => ({
          supplierId,
          articleId: known(idByName, article.name),
          pack,
          number: `${name.slice(0, 2).toUpperCase()}-${article.number}${pack > 1 ? `/${pack}` : ''}`,
          priceMinor: Math.round(article.priceMinor * pack * share),
          leadDays: null,
        })),
      ),
    ),
  );
  const supplierIds = new Map(suppliers.map(({ id, name }) => [name, id]));
  for (const order of ORDERS)
    await writeOrder(order, known(supplierIds, order.from), idByName, leadId, today);
}

async function writeOrder(
  { from, orderedDaysAgo, expectedInDays, note, lines }: DemoOrder,
  supplierId: string,
  idByName: ReadonlyMap<string, string>,
  leadId: string,
  today: CivilDate,
): Promise<void> {
  const orderId = uuid();
  await Order.create({
    id: orderId,
    supplierId,
    supplierName: from,
    orderedOn: addDays(today, -orderedDaysAgo),
    expectedOn: addDays(today, expectedInDays),
    orderedById: leadId,
    carriageMinor: SUPPLIERS.find(({ name }) => name === from)?.carriageMinor ?? 0,
    note,
    isOpen: true,
  });
  await OrderLine.bulkCreate(
    lines.map(([name, packs, arrived], n) => ({
      orderId,
      n,
      articleId: known(idByName, name),
      number: '',
      pack: 1,
      packs,
      priceMinor: known(PRICES, name),
      arrived,
    })),
  );
  await Movement.bulkCreate(
    lines
      .filter(([, , arrived]) => arrived > 0)
      .map(([name, , arrived]) => {
        const valueMinor = arrived * known(PRICES, name);
        return {
          id: uuid(),
          articleId: known(idByName, name),
          kind: 'received' as const,
          quantity: arrived,
          valueMinor,
          leftQuantity: arrived,
          leftMinor: valueMinor,
          shed: 'North shed',
          movedAt: new Date(instantOnDay(addDays(today, -1), 9, TIME_ZONE)),
          movedById: leadId,
          jobId: null,
          note: `From ${from}`,
        };
      }),
  );
}
