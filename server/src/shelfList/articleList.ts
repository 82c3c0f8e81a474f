import { checkBody, CreateArticleDto } from '@yugator/contracts';
import { articleColumns, ArticleList } from '@yugator/core';
import type { ArticleLine, KnownArticle, ListFault } from '@yugator/core';
import type { InferAttributes } from 'sequelize';
import { v7 as uuid } from 'uuid';
import { known } from '../database/known.js';
import { Article } from '../models/shelf.model.js';
import { columnsOf, traitFaults } from '../shelf/articleFields.js';
import { storedTraits } from '../shelf/articleTraits.js';
import { atHeadings } from './openList.js';
import type { OpenList, ReadyLine } from './openList.js';
import { inChunks } from '../database/inChunks.js';

/** The article that a line is of; of a new one, none. */
export interface ArticleTarget {
  readonly id: string | null;
}

const NO_FILTER = { height: null, outside: null, gasket: null, thread: '', bypass: null };
const NO_PLUG = { reach: null, thread: '', hexagon: null };

function lineOf(article: Article): ArticleLine {
  const { makerNumbers, fluid, filter, plug } = storedTraits(article);
  const { height, outside, gasket, thread, bypass } = filter ?? NO_FILTER;
  const { reach, thread: plugThread, hexagon } = plug ?? NO_PLUG;
  return {
    number: article.number ?? '',
    name: article.name,
    kind: article.kind,
    unit: article.unit,
    component: article.component,
    place: article.place,
    barcode: article.barcode ?? '',
    leastOnHand: article.leastOnHand,
    priceMinor: article.priceMinor,
    makerNumbers,
    fluidKind: fluid?.kind ?? null,
    grade: fluid?.grade ?? '',
    categories: fluid?.categories ?? [],
    height,
    outside,
    gasket,
    thread,
    bypass,
    reach,
    plugThread,
    hexagon,
    isRetired: article.retiredAt !== null,
  };
}

/** An article of a list as somebody would type it. */
function fieldsOf(line: ArticleLine) {
  const { height, outside, gasket, thread, bypass, reach, plugThread, hexagon } = line;
  const { fluidKind, grade, categories } = line;
  const isFluid = fluidKind !== null || grade !== '' || categories.length > 0;
  const isFilter = [height, outside, gasket, bypass].some((each) => each !== null) || thread !== '';
  const isPlug = reach !== null || hexagon !== null || plugThread !== '';
  return {
    name: line.name,
    kind: line.kind,
    unit: line.unit,
    leastOnHand: line.leastOnHand,
    priceMinor: line.priceMinor,
    number: line.number,
    barcode: line.barcode,
    place: line.place,
    component: line.component,
    makerNumbers: line.makerNumbers,
    fluid: isFluid ? { kind: fluidKind, grade, categories } : null,
    filter: isFilter ? { height, outside, gasket, thread, bypass } : null,
    plug: isPlug ? { reach, thread: plugThread, hexagon } : null,
  };
}

/** The column in which a field of an article stands. */
function columnOf([first = '', second = '']: readonly string[]): keyof ArticleLine & string {
  const inside = INSIDE[`${first}/${second}`] ?? INSIDE[first];
  return inside ?? PLAIN.find((key) => key === first) ?? 'name';
}

const PLAIN = [
  'kind',
  'unit',
  'leastOnHand',
  'priceMinor',
  'number',
  'barcode',
  'place',
  'component',
  'makerNumbers',
] as const;
const INSIDE: Readonly<Record<string, keyof ArticleLine & string>> = {
  fluid: 'fluidKind',
  'fluid/grade': 'grade',
  'fluid/categories': 'categories',
  filter: 'height',
  'filter/outside': 'outside',
  'filter/gasket': 'gasket',
  'filter/thread': 'thread',
  'filter/bypass': 'bypass',
  plug: 'reach',
  'plug/thread': 'plugThread',
  'plug/hexagon': 'hexagon',
};

/** What a line may change of an article that is there. */
const CHANGED: (keyof InferAttributes<Article>)[] = [
  'name',
  'number',
  'barcode',
  'place',
  'component',
  'leastOnHand',
  'priceMinor',
  'traits',
  'retiredAt',
  'version',
];

/** The articles of the shelf as a list. */
export async function articleList(
  currency: string,
  now: Date,
  lock: boolean,
): Promise<OpenList<ArticleLine, ArticleTarget>> {
  const articles = await Article.findAll({ order: ['name'], lock });
  const articlesOfNow: KnownArticle[] = articles.map((article) => ({
    id: article.id,
    name: article.name,
    number: article.number ?? '',
    barcode: article.barcode ?? '',
    line: lineOf(article),
  }));
  const columns = articleColumns(currency);
  const byId = new Map(articles.map((article) => [article.id, article]));

  /** by the line: what was judged right, to be written */
  const judged = new Map<number, CreateArticleDto>();
  const faultsOf = ({ line, now: said }: ReadyLine<ArticleLine, ArticleTarget>): ListFault[] => {
    const { faults, value } = checkBody(CreateArticleDto, fieldsOf(said));
    if (value) judged.set(line, value);
    return atHeadings(faults ?? traitFaults(value.kind, columnsOf(value, null)), line, columns, columnOf);
  };

  const write = async (lines: readonly ReadyLine<ArticleLine, ArticleTarget>[]): Promise<void> => {
    const rows = lines.map(({ target, line, now: said }) => {
      const value = known(judged, line);
      const before = target.id ? (byId.get(target.id) ?? null) : null;
      const retiredAt = said.isRetired ? (before?.retiredAt ?? now) : null;
      return { before, kind: value.kind, unit: value.unit, retiredAt, columns: columnsOf(value, null) };
    });
    // Of an article that is there its own id is met first, so that this never changes another.
    await inChunks(rows, (chunk) =>
      Article.bulkCreate(
        chunk.map(({ before, kind, unit, retiredAt, columns: said }) => ({
          ...said,
          kind,
          unit,
          retiredAt,
          id: before?.id ?? uuid(),
          version: (before?.version ?? 0) + 1,
        })),
        { updateOnDuplicate: CHANGED },
      ),
    );
  };

  return {
    columns,
    known: articlesOfNow.map(({ line }) => line),
    reader: (head) => ArticleList.of(head, articlesOfNow, currency),
    judge: (lines) => Promise.resolve(lines.flatMap(faultsOf)),
    write,
  };
}
