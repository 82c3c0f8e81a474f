import type { Component } from '../../component/components.js';
import { nameKey } from '../../names/nameKey.js';
import { FIT_STANDINGS } from '../fit.js';
import type { FitStanding } from '../fit.js';
import { ArticleFinder } from './articleFinder.js';
import type { NamedArticle } from './articleFinder.js';
import { priceColumn } from './articleList.js';
import type { ListOutcome } from './articleList.js';
import { COMPONENT, figureCell, oneOf, orNone, TEXT } from './cells.js';
import { changesOf, ListReader } from './list.js';
import type { Columns, ListFault } from './list.js';

const STANDINGS = Object.fromEntries(FIT_STANDINGS.map((key) => [key, key])) as Record<
  FitStanding,
  FitStanding
>;
const words = (heading: string) => ({ heading, cell: TEXT, empty: '' });
const must = (heading: string) => ({ heading, cell: TEXT, empty: undefined });

/** What a supplier sells, as a line of a list. */
export interface PriceLine {
  readonly owner: string;
  readonly article: string;
  /** the supplier's own */
  readonly number: string;
  /** pieces or litres in one pack */
  readonly pack: number;
  /** of one pack, in minor units */
  readonly priceMinor: number;
  /** days from the order to the shelf; null: as the supplier's other articles */
  readonly leadDays: number | null;
}

export function priceColumns(currency: string): Columns<PriceLine> {
  return {
    owner: must('supplier'),
    article: must('article'),
    number: words('their number'),
    pack: { heading: 'pack holds', cell: figureCell(3), empty: 1 },
    priceMinor: priceColumn(currency),
    leadDays: { heading: 'days', cell: orNone(figureCell(0)), empty: null },
  };
}

/** What a kit holds, as a line of a list. */
export interface KitLine {
  readonly owner: string;
  readonly article: string;
  readonly quantity: number;
}

export function kitColumns(): Columns<KitLine> {
  return {
    owner: must('kit'),
    article: must('article'),
    quantity: { heading: 'how much', cell: figureCell(3), empty: undefined },
  };
}

/** What fits a machine, as a line of a list. */
export interface FitLine {
  /** the tag of the machine */
  readonly owner: string;
  readonly component: Component;
  readonly article: string;
  /** null: as much as the card says of a fluid, one of anything else */
  readonly quantity: number | null;
  readonly standing: FitStanding;
  readonly reason: string;
}

export function fitColumns(): Columns<FitLine> {
  return {
    owner: must('machine'),
    component: { heading: 'component', cell: COMPONENT, empty: undefined },
    article: must('article'),
    quantity: { heading: 'how much', cell: orNone(figureCell(3)), empty: null },
    standing: { heading: 'standing', cell: oneOf(STANDINGS), empty: 'original' },
    reason: words('reason'),
  };
}

/** A line that says something of an article for an owner: a supplier, a kit, a machine. */
interface Link {
  readonly owner: string;
  readonly article: string;
}

/** A supplier, kit or machine. */
export interface Owner {
  readonly id: string;
  readonly name: string;
  /** other names that it goes by, such as the number of a kit */
  readonly codes: readonly string[];
}

/** A link as it is known. */
export interface KnownLink<L> {
  readonly ownerId: string;
  readonly articleId: string;
  readonly line: L;
}

/** What a list of links is of. */
export interface LinkSpec<L extends Link> {
  readonly columns: Columns<L>;
  /** columns that a file must have */
  readonly needed: readonly (keyof L & string)[];
  /** what tells links of one owner and article apart, such as the pack */
  readonly apart: (line: L) => string;
  /** what columns that the file does not have say of a new link */
  readonly unsaid: Partial<L>;
  /** such as "supplier" */
  readonly ownerWord: string;
}

export function priceSpec(currency: string): LinkSpec<PriceLine> {
  return {
    columns: priceColumns(currency),
    needed: ['owner', 'article', 'priceMinor'],
    apart: ({ pack }) => String(pack),
    unsaid: { number: '', pack: 1, leadDays: null },
    ownerWord: 'supplier',
  };
}

export function kitSpec(): LinkSpec<KitLine> {
  return {
    columns: kitColumns(),
    needed: ['owner', 'article', 'quantity'],
    apart: () => '',
    unsaid: {},
    ownerWord: 'kit',
  };
}

export function fitSpec(): LinkSpec<FitLine> {
  return {
    columns: fitColumns(),
    needed: ['owner', 'component', 'article'],
    apart: ({ component }) => component,
    unsaid: { quantity: null, standing: 'original', reason: '' },
    ownerWord: 'machine',
  };
}

/** Which owner and article a line is of. */
export interface LinkTarget {
  readonly ownerId: string;
  readonly articleId: string;
}

/** Reads a list of links line by line. */
export class LinkList<L extends Link> {
  private readonly owners: ReadonlyMap<string, Owner>;
  private readonly finder: ArticleFinder<NamedArticle>;
  private readonly known: ReadonlyMap<string, L>;
  private readonly taken = new Map<string, number>();

  private constructor(
    private readonly spec: LinkSpec<L>,
    private readonly reader: ListReader<L>,
    facts: LinkFacts<L>,
  ) {
    const codes = facts.owners.flatMap((owner) => owner.codes.map((code) => [code, owner] as const));
    // Where one's code is another's name, the name counts.
    const names = [...codes, ...facts.owners.map((owner) => [owner.name, owner] as const)];
    this.owners = new Map(names.map(([name, owner]) => [nameKey(name), owner]));
    this.finder = new ArticleFinder(facts.articles);
    this.known = new Map(facts.links.map(({ line, ...target }) => [this.keyOf(target, line), line]));
  }

  static of<L extends Link>(
    spec: LinkSpec<L>,
    head: readonly string[],
    facts: LinkFacts<L>,
  ): LinkList<L> | ListFault[] {
    const reader = ListReader.of(spec.columns, spec.needed, head);
    return reader instanceof ListReader ? new LinkList(spec, reader, facts) : reader;
  }

  take(row: readonly string[], line: number): ListOutcome<L, LinkTarget> {
    const { values, faults } = this.reader.read(row, line);
    if (faults.length) return { does: 'fault', faults };
    const { columns, ownerWord, unsaid } = this.spec;
    const fault = (heading: string, detail: string): ListOutcome<L, LinkTarget> => ({
      does: 'fault',
      faults: [{ line, heading, detail }],
    });
    const owner = this.owners.get(nameKey(values.owner ?? ''));
    if (!owner)
      return fault(columns.owner.heading, `There is no ${ownerWord} "${values.owner}". Add it first.`);
    const article = this.finder.find(values.article ?? '');
    if (typeof article === 'string') return fault(columns.article.heading, article);
    const target = { ownerId: owner.id, articleId: article.id };
    // All columns that are needed were read, and the spec says the others.
    const said = { ...unsaid, ...values, owner: owner.name, article: article.name } as L;
    const key = this.keyOf(target, said);
    const twice = this.taken.get(key);
    if (twice !== undefined) return fault('', `Line ${twice} says it already.`);
    this.taken.set(key, line);
    const before = this.known.get(key);
    const now = before ? { ...before, ...values, owner: owner.name, article: article.name } : said;
    const changes = before ? changesOf(columns, before, now) : [];
    const subject = `${owner.name}: ${article.name}`;
    return { does: before ? (changes.length ? 'change' : 'same') : 'new', subject, target, now, changes };
  }

  private keyOf({ ownerId, articleId }: LinkTarget, line: L): string {
    return JSON.stringify([ownerId, articleId, this.spec.apart(line)]);
  }
}

/** All that a list of links is read against. */
export interface LinkFacts<L> {
  readonly owners: readonly Owner[];
  readonly articles: readonly NamedArticle[];
  readonly links: readonly KnownLink<L>[];
}
