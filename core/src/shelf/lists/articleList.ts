import type { Component } from '../../component/components.js';
import { CATEGORY_KEYS } from '../../fluid/categories.js';
import type { Category } from '../../fluid/categories.js';
import { FLUID_KIND_KEYS, FLUID_KINDS } from '../../fluid/fluidKind.js';
import type { FluidKind } from '../../fluid/fluidKind.js';
import { minorOf } from '../../cost/minor.js';
import { nameKey } from '../../names/nameKey.js';
import type { MakerNumber } from '../makerNumbers.js';
import { ArticleFinder } from './articleFinder.js';
import type { NamedArticle } from './articleFinder.js';
import {
  COMPONENT,
  figureCell,
  LENGTH,
  listOf,
  MAKER_NUMBERS,
  moneyCell,
  oneOf,
  orNone,
  PRESSURE,
  TEXT,
  YES_OR_NO,
} from './cells.js';
import { changesOf, ListReader } from './list.js';
import type { Column, Columns, ListChange, ListFault } from './list.js';

/** An article as a line of a list. */
export interface ArticleLine {
  readonly number: string;
  readonly name: string;
  readonly kind: 'kit' | 'part' | 'fluid';
  readonly unit: 'piece' | 'litre';
  readonly component: Component | null;
  readonly place: string;
  readonly barcode: string;
  /** pieces or litres */
  readonly leastOnHand: number;
  /** of one piece or litre, in minor units */
  readonly priceMinor: number;
  readonly makerNumbers: readonly MakerNumber[];
  readonly fluidKind: FluidKind | null;
  readonly grade: string;
  readonly categories: readonly Category[];
  /** mm, of a filter */
  readonly height: number | null;
  readonly outside: number | null;
  readonly gasket: number | null;
  readonly thread: string;
  /** kPa */
  readonly bypass: number | null;
  /** mm, of a spark plug */
  readonly reach: number | null;
  readonly plugThread: string;
  readonly hexagon: number | null;
  /** no longer bought */
  readonly isRetired: boolean;
}

export interface KnownArticle extends NamedArticle {
  readonly line: ArticleLine;
}

const KINDS = { kit: 'kit', part: 'part', fluid: 'fluid' } as const;
const UNITS_COUNTED = { piece: 'piece', litre: 'litre' } as const;
const KIND_WORDS = Object.fromEntries(FLUID_KIND_KEYS.map((key) => [key, FLUID_KINDS[key].words])) as Record<
  FluidKind,
  string
>;
const CATEGORY_WORDS = Object.fromEntries(CATEGORY_KEYS.map((key) => [key, key])) as Record<
  Category,
  Category
>;

/** A column of prices. It names the currency: a list in another is not taken for one in this. */
export function priceColumn(currency: string): Column<number> {
  const { digits } = minorOf(currency);
  return { heading: `price (${currency})`, cell: moneyCell(digits), empty: undefined };
}

const words = (heading: string) => ({ heading, cell: TEXT, empty: '' });
const length = (heading: string) => ({ heading: `${heading} (mm)`, cell: LENGTH, empty: null });

export function articleColumns(currency: string): Columns<ArticleLine> {
  return {
    number: words('number'),
    name: { heading: 'name', cell: TEXT, empty: undefined },
    kind: { heading: 'kind', cell: oneOf(KINDS), empty: undefined },
    unit: { heading: 'counted in', cell: oneOf(UNITS_COUNTED), empty: undefined },
    component: { heading: 'component', cell: orNone(COMPONENT), empty: null },
    place: words('place'),
    barcode: words('barcode'),
    leastOnHand: { heading: 'least wanted', cell: figureCell(3), empty: 0 },
    priceMinor: priceColumn(currency),
    makerNumbers: { heading: "makers' numbers", cell: MAKER_NUMBERS, empty: [] },
    fluidKind: { heading: 'fluid', cell: orNone(oneOf(KIND_WORDS)), empty: null },
    grade: words('grade'),
    categories: { heading: 'categories', cell: listOf(oneOf(CATEGORY_WORDS)), empty: [] },
    height: length('height'),
    outside: length('outside'),
    gasket: length('gasket'),
    thread: words('thread'),
    bypass: { heading: 'bypass (kPa)', cell: PRESSURE, empty: null },
    reach: length('plug reach'),
    plugThread: words('plug thread'),
    hexagon: length('plug hexagon'),
    isRetired: { heading: 'no longer bought', cell: YES_OR_NO, empty: false },
  };
}

/** What a new article is where its line does not say. Its name, kind, unit and price must be said. */
const NOTHING_SAID = {
  number: '',
  component: null,
  place: '',
  barcode: '',
  leastOnHand: 0,
  makerNumbers: [],
  fluidKind: null,
  grade: '',
  categories: [],
  height: null,
  outside: null,
  gasket: null,
  thread: '',
  bypass: null,
  reach: null,
  plugThread: '',
  hexagon: null,
  isRetired: false,
} as const satisfies Partial<ArticleLine>;

/** What comes of a line of a list. */
export type ListOutcome<L, T> =
  | { readonly does: 'fault'; readonly faults: readonly ListFault[] }
  | {
      readonly does: 'new' | 'change' | 'same';
      /** what it is about, in words */
      readonly subject: string;
      readonly target: T;
      readonly now: L;
      readonly changes: readonly ListChange[];
    };

/** What speaks against a line, at the heading of a column. */
type Wrong = Omit<ListFault, 'line'>;

const STAYS = 'What it is, and how it is counted, stays as it is. Put it on the shelf as another article.';

type ArticleOutcome = ListOutcome<ArticleLine, { readonly id: string | null }>;

/** Reads a list of articles line by line: each is found by its number, else by its name. */
export class ArticleList {
  private readonly finder: ArticleFinder<KnownArticle>;
  /** what lines of the file took before: which line */
  private readonly taken = new Map<string, number>();

  private constructor(
    private readonly columns: Columns<ArticleLine>,
    private readonly reader: ListReader<ArticleLine>,
    known: readonly KnownArticle[],
  ) {
    this.finder = new ArticleFinder(known);
  }

  static of(
    head: readonly string[],
    known: readonly KnownArticle[],
    currency: string,
  ): ArticleList | ListFault[] {
    const columns = articleColumns(currency);
    const reader = ListReader.of(columns, ['name'], head);
    return reader instanceof ListReader ? new ArticleList(columns, reader, known) : reader;
  }

  take(row: readonly string[], line: number): ArticleOutcome {
    const { values, faults } = this.reader.read(row, line);
    if (faults.length) return { does: 'fault', faults };
    const before = this.known(values);
    const now = before ? { ...before.line, ...values } : this.fresh(values);
    if ('detail' in now) return { does: 'fault', faults: [{ line, ...now }] };
    const wrong = this.saidWrong(before, now) ?? this.takenBefore(before, now, line);
    if (wrong) return { does: 'fault', faults: [{ line, ...wrong }] };
    if (!before) return { does: 'new', subject: now.name, target: { id: null }, now, changes: [] };
    const changes = changesOf(this.columns, before.line, now);
    const does = changes.length ? 'change' : 'same';
    return { does, subject: before.name, target: { id: before.id }, now, changes };
  }

  private known({ name = '', number = '' }: Partial<ArticleLine>): KnownArticle | null {
    return this.finder.withNumber(number) ?? this.finder.withName(name);
  }

  /** What speaks against an article being so, beside what is known. */
  private saidWrong(before: KnownArticle | null, now: ArticleLine): Wrong | null {
    const namesake = this.finder.withName(now.name);
    if (namesake && before && namesake.id !== before.id)
      return { heading: 'name', detail: `${before.name} has this number, and another article this name.` };
    for (const heading of ['number', 'barcode'] as const) {
      const other = this.finder.withCode(now[heading]);
      if (other && other.id !== before?.id) return { heading, detail: `That is the code of ${other.name}.` };
    }
    const stays = (['kind', 'unit'] as const).find((key) => before && before.line[key] !== now[key]);
    return stays ? { heading: this.columns[stays].heading, detail: STAYS } : null;
  }

  /** A new article; or what its line must say and does not. */
  private fresh(values: Partial<ArticleLine>): ArticleLine | Wrong {
    const { name, kind, unit, priceMinor } = values;
    const missing = (key: 'name' | 'kind' | 'unit' | 'priceMinor'): Wrong => {
      const { heading } = this.columns[key];
      return { heading, detail: `This article is not on the shelf yet: say its ${heading} too.` };
    };
    if (name === undefined) return missing('name');
    if (kind === undefined) return missing('kind');
    if (unit === undefined) return missing('unit');
    if (priceMinor === undefined) return missing('priceMinor');
    return { ...NOTHING_SAID, ...values, name, kind, unit, priceMinor };
  }

  /** An article, a name or a code that an earlier line said already. */
  private takenBefore(before: KnownArticle | null, now: ArticleLine, line: number): Wrong | null {
    const keys = keysOfLine(before, now);
    for (const [heading, key] of keys) {
      const earlier = this.taken.get(key);
      if (earlier !== undefined) return { heading, detail: `Line ${earlier} says it already.` };
    }
    for (const [, key] of keys) this.taken.set(key, line);
    return null;
  }
}

/** All by which an article is told from others, each with the heading of where it stands. */
function keysOfLine(
  before: KnownArticle | null,
  { name, number, barcode }: ArticleLine,
): (readonly [heading: string, key: string])[] {
  const codes = new Map([number, barcode].filter(Boolean).map((code) => [nameKey(code), code]));
  return [
    ...(before ? [['', `id ${before.id}`] as const] : []),
    ['name', `name ${nameKey(name)}`],
    ...[...codes].map(([key, code]) => [code === barcode ? 'barcode' : 'number', `code ${key}`] as const),
  ];
}
