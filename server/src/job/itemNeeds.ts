import type { FluidFitDto, ItemNeedDto, ShelvedKitDto } from '@yugator/contracts';
import { fluidPlace, judgeFluid, needsOf } from '@yugator/core';
import type { Component, FluidPlace, FittingNeed, ItemArticle, MachineSetUp } from '@yugator/core';
import type { Machine } from '../models/machine.model.js';
import { Article, ItemArticleRow } from '../models/shelf.model.js';
import { storedTraits } from '../shelf/articleTraits.js';
import { fitsOf, fluidFits } from '../shelf/fits.js';
import { partsByKit } from '../shelf/kitParts.js';
import { ShedStocks } from '../shelf/shedStocks.js';

/** What a visit takes from the shelf. */
interface NeedsOfVisit {
  readonly needs: ItemNeedDto[];
  readonly kits: ShelvedKitDto[];
  readonly fluids: FluidFitDto[];
  /** the shed of the machine; null where sheds are not told apart */
  readonly shed: string | null;
}

/** What is known where the needs of a visit are reckoned. */
interface Known {
  readonly machine: Pick<Machine, 'id' | 'shed'>;
  readonly setUp: MachineSetUp;
  /** by the article's id */
  readonly onHand: ReadonlyMap<string, number>;
  /** °C until the next change */
  readonly expected: FluidPlace['expected'];
  /** articles that somebody poured in place of what fits */
  readonly poured: ReadonlyMap<Component, string>;
}

type Need = FittingNeed | ItemArticle;

function componentOf(need: Need): Component | null {
  return 'component' in need ? need.component : null;
}

/** Kits on the shelf that hold something of what is needed. */
async function kitsFor(
  needs: readonly Need[],
  onHand: Known['onHand'],
): Promise<Omit<ShelvedKitDto, 'sheds'>[]> {
  const wanted = new Set(needs.map(({ articleId }) => articleId));
  if (wanted.size === 0) return [];
  const contents = [...(await partsByKit())].filter(([, parts]) =>
    parts.some(({ articleId }) => wanted.has(articleId)),
  );
  const kits = await Article.findAll({ where: { id: contents.map(([id]) => id) }, order: ['name'] });
  return kits.map(({ id, name, priceMinor }) => ({
    articleId: id,
    name,
    priceMinor,
    onHand: onHand.get(id) ?? 0,
    contents: contents.find(([kitId]) => kitId === id)?.[1] ?? [],
  }));
}

/** What the items of a visit take from the shelf: by what fits the machine, by what was poured, and by the lines of its books. */
export async function needsOfVisit({
  machine,
  setUp,
  onHand,
  expected,
  poured,
}: Known): Promise<NeedsOfVisit> {
  const { items, spec, fuel } = setUp;
  const [fits, lines] = await Promise.all([
    fitsOf(machine.id),
    ItemArticleRow.findAll({ where: { itemId: items.map(({ id }) => id) }, include: [Article] }),
  ]);
  const ofLines = lines.map(({ itemId, articleId, quantity }) => ({ itemId, articleId, quantity }));
  const needs = needsOf<Need>(items, fits, spec, onHand, ofLines).map((need) => {
    const component = componentOf(need);
    return component === null ? need : { ...need, articleId: poured.get(component) ?? need.articleId };
  });
  const named = [...fits, ...lines].flatMap(({ article }) => article ?? []);
  const others = [...poured.values()].filter((id) => !named.some((article) => article.id === id));
  const articles = [...named, ...(others.length ? await Article.findAll({ where: { id: others } }) : [])];
  const fluids = fluidFits(fits);
  const kits = await kitsFor(needs, onHand);
  const sheds = await ShedStocks.read([...kits, ...needs].map(({ articleId }) => articleId));
  const shedsOf = (articleId: string) => (sheds.names.length ? [...sheds.of(articleId)] : []);
  return {
    fluids,
    shed: sheds.home(machine.shed),
    kits: kits.map((kit) => ({ ...kit, sheds: shedsOf(kit.articleId) })),
    needs: needs.flatMap((need) => {
      const article = articles.find(({ id }) => id === need.articleId);
      if (!article) return [];
      const component = componentOf(need);
      const place = component && fluidPlace({ fuel, fluids: spec.fluids }, component, fluids, expected);
      return [
        {
          itemId: need.itemId,
          articleId: need.articleId,
          quantity: need.quantity,
          name: article.name,
          unit: article.unit,
          onHand: onHand.get(article.id) ?? 0,
          priceMinor: article.priceMinor,
          component,
          judgement:
            place && article.kind === 'fluid' ? judgeFluid(storedTraits(article).fluid, place) : null,
          sheds: shedsOf(article.id),
        },
      ];
    }),
  };
}
