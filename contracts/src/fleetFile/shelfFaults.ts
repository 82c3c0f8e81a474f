import { mayHave, componentSpec, nameKey, repeatedNames } from '@yugator/core';
import type { Component } from '@yugator/core';
import { fault } from '../problem/fault.js';
import type { FieldFaultDto } from '../problem/problem.dto.js';
import type { ArticleKind, ArticleUnit } from '../shelf/article.dto.js';
import { movementFaults } from './movementFaults.js';
import type { FileArticleDto, FileShelfDto } from './fileShelf.dto.js';
import type { FileMachineDto, FleetFileDto } from './fleetFile.dto.js';

/** What has to be known of an article to judge what is said of it. */
export interface KnownArticleFacts {
  readonly name: string;
  readonly kind: ArticleKind;
  readonly unit: ArticleUnit;
  readonly component: Component | null;
  readonly codes: readonly string[];
}

/** The shelf that a file comes to. */
export interface KnownShelf {
  readonly currency: string;
  /** by the key of the name */
  readonly articles: ReadonlyMap<string, KnownArticleFacts>;
}

const WHOLE = 'Pieces are whole: give a whole number.';

function factsOf({ name, kind, unit, component, number, barcode }: FileArticleDto): KnownArticleFacts {
  const codes = [number ?? '', barcode ?? ''].filter(Boolean);
  return { name, kind, unit, component: component ?? null, codes };
}

type Articles = KnownShelf['articles'];

function unknownArticle(name: string, pointer: string): FieldFaultDto {
  return fault(pointer, 'unknown', `There is no article "${name}", neither in the file nor here.`);
}

/** What is said so often of an article: that it is not there, or a part of a piece. */
function saidFaults(
  { article: name, quantity }: { readonly article: string; readonly quantity: number | null },
  articles: Articles,
  pointer: string,
  field: string,
): FieldFaultDto[] {
  const article = articles.get(nameKey(name));
  if (!article) return [unknownArticle(name, `${pointer}/article`)];
  return article.unit === 'piece' && quantity !== null && !Number.isInteger(quantity)
    ? [fault(`${pointer}/${field}`, 'notWhole', WHOLE)]
    : [];
}

/** Entries that say the same as an earlier one. */
function twice<T>(
  list: readonly T[],
  key: (entry: T) => string,
  at: (index: number) => FieldFaultDto,
): FieldFaultDto[] {
  return repeatedNames(list.map(key)).map(at);
}

function articleFaults(
  article: FileArticleDto,
  articles: Articles,
  now: number,
  path: string,
): FieldFaultDto[] {
  const { kind, unit, contents, lots } = article;
  const isOddKit = kind !== 'kit' && contents.length > 0;
  return [
    ...(isOddKit ? [fault(`${path}/contents`, 'noKit', 'Only a kit holds other articles.')] : []),
    ...contents.flatMap((part, index) => {
      const at = `${path}/contents/${index}`;
      const isKit = articles.get(nameKey(part.article))?.kind === 'kit';
      return isKit
        ? [fault(`${at}/article`, 'kitInKit', 'A kit holds parts and fluids, not kits.')]
        : saidFaults(part, articles, at, 'quantity');
    }),
    ...twice(
      contents,
      ({ article: name }) => name,
      (index) => fault(`${path}/contents/${index}/article`, 'repeated', 'Each article counts once.'),
    ),
    ...lots.flatMap(({ left }, index) =>
      unit === 'piece' && !Number.isInteger(left)
        ? [fault(`${path}/lots/${index}/left`, 'notWhole', WHOLE)]
        : [],
    ),
    ...movementFaults(article, now, path),
  ];
}

/** Codes that stand for two articles: a scanner finds an article by either. */
function codeFaults(fresh: readonly (readonly [FileArticleDto, string])[], known: Articles): FieldFaultDto[] {
  const owners = new Map<string, string>();
  for (const { name, codes } of known.values()) for (const code of codes) owners.set(nameKey(code), name);
  return fresh.flatMap(([article, path]) =>
    factsOf(article).codes.flatMap((code) => {
      const owner = owners.get(nameKey(code));
      owners.set(nameKey(code), article.name);
      return owner !== undefined && owner !== article.name
        ? [fault(`${path}/number`, 'taken', `${code} is the number or code of ${owner} already.`)]
        : [];
    }),
  );
}

function shelfOwnFaults(
  shelf: FileShelfDto,
  known: KnownShelf,
  articles: Articles,
  now: number,
  path: string,
): FieldFaultDto[] {
  const currency = `Its prices are in ${shelf.currency}, and this site reckons in ${known.currency}. Take the shelf out of the file, with what fits the machines.`;
  const fresh = shelf.articles.flatMap((article, index) =>
    known.articles.has(nameKey(article.name)) ? [] : [[article, `${path}/articles/${index}`] as const],
  );
  return [
    ...(shelf.currency === known.currency ? [] : [fault(`${path}/currency`, 'other', currency)]),
    ...twice(
      shelf.articles,
      ({ name }) => name,
      (index) =>
        fault(`${path}/articles/${index}/name`, 'repeated', 'This article stands in the file twice.'),
    ),
    ...twice(
      shelf.suppliers,
      ({ name }) => name,
      (index) =>
        fault(`${path}/suppliers/${index}/name`, 'repeated', 'This supplier stands in the file twice.'),
    ),
    ...codeFaults(fresh, known.articles),
    ...fresh.flatMap(([article, at]) => articleFaults(article, articles, now, at)),
    ...shelf.suppliers.flatMap(({ offers }, at) => [
      ...offers.flatMap(({ article, pack }, index) =>
        saidFaults({ article, quantity: pack }, articles, `${path}/suppliers/${at}/offers/${index}`, 'pack'),
      ),
      ...twice(
        offers,
        ({ article, pack }) => `${article} ${pack}`,
        (index) =>
          fault(
            `${path}/suppliers/${at}/offers/${index}/pack`,
            'repeated',
            'It stands there in the same pack already.',
          ),
      ),
    ]),
  ];
}

/** What fits a machine of a file, against the machine and the articles. */
function fitFaults(
  { fits = [], machineClass, fuel }: FileMachineDto,
  articles: Articles,
  path: string,
): FieldFaultDto[] {
  return [
    ...fits.flatMap((fit, index) => {
      const at = `${path}/fits/${index}`;
      const { words } = componentSpec(fit.component);
      if (!mayHave(fit.component, machineClass, fuel))
        return [fault(`${at}/component`, 'notHere', `Such a machine has no ${words}.`)];
      const article = articles.get(nameKey(fit.article));
      if (article?.kind === 'kit') return [fault(`${at}/article`, 'kit', 'Say which parts of the kit fit.')];
      const isOther = article && article.component !== null && article.component !== fit.component;
      return isOther
        ? [
            fault(
              `${at}/article`,
              'otherComponent',
              `${article.name} is for something else than the ${words}.`,
            ),
          ]
        : saidFaults(fit, articles, at, 'quantity');
    }),
    ...twice(
      fits,
      ({ component, article }) => `${component} ${article}`,
      (index) =>
        fault(`${path}/fits/${index}/article`, 'repeated', 'It stands there for the same component already.'),
    ),
  ];
}

/** All that is wrong with what a file says of the shelf; what is here already counts as it is here. */
export function shelfFaults(
  { shelf, machines }: FleetFileDto,
  known: KnownShelf,
  now: number,
  path: string,
): FieldFaultDto[] {
  const articles: Articles = new Map([
    ...(shelf?.articles ?? []).map((article) => [nameKey(article.name), factsOf(article)] as const),
    ...known.articles,
  ]);
  return [
    ...(shelf ? shelfOwnFaults(shelf, known, articles, now, `${path}/shelf`) : []),
    ...machines.flatMap((machine, index) => fitFaults(machine, articles, `${path}/machines/${index}`)),
  ];
}
