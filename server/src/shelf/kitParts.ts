import type { DrawDto, FieldFaultDto, KitPartDto, KitPartFieldsDto } from '@yugator/contracts';
import { leftFault, mayOpen } from '@yugator/core';
import type { LeftFault } from '@yugator/core';
import { grouped } from '../database/grouped.js';
import { Article, KitPartRow } from '../models/shelf.model.js';
import { fault } from '../problem/problem.js';
import { pieceFaults, WHOLE_PIECES } from './wholePieces.js';

const WHOLE_KITS = 'Kits are opened whole: type a whole number of kits, and what is left of them.';

/** What kits hold, by the kit's id, in the order of names; of all kits where no ids are given. */
export async function partsByKit(kitIds?: readonly string[]): Promise<ReadonlyMap<string, KitPartDto[]>> {
  const rows = await KitPartRow.findAll({
    where: kitIds ? { kitId: [...kitIds] } : {},
    include: [{ model: Article, required: true }],
    order: [['article', 'name', 'ASC']],
  });
  return new Map(
    [...grouped(rows, ({ kitId }) => kitId)].map(([kitId, own]) => [
      kitId,
      own.map(({ articleId, quantity, article }) => ({
        articleId,
        quantity,
        name: article?.name ?? '',
        unit: article?.unit ?? ('piece' as const),
        priceMinor: article?.priceMinor ?? 0,
      })),
    ]),
  );
}

/** What speaks against an article being part of a kit: a kit in a kit, or a part of a piece. */
export function partFaults(article: Article, quantity: number, pointer: string): FieldFaultDto[] {
  return article.kind === 'kit'
    ? [fault(`${pointer}/articleId`, 'kitInKit', 'A kit holds parts and fluids, not kits.')]
    : pieceFaults(article, quantity, `${pointer}/quantity`);
}

/** What speaks against what a kit is said to hold: an article that is not there, a kit in a kit, or no kit at all. */
export async function contentFaults(
  kit: Article,
  contents: readonly KitPartFieldsDto[],
): Promise<FieldFaultDto[]> {
  if (contents.length === 0) return [];
  if (kit.kind !== 'kit')
    return [fault('/contents', 'noKit', 'Only a kit holds other articles. Take the lines out.')];
  const known = await Article.findAll({ where: { id: contents.map(({ articleId }) => articleId) } });
  return contents.flatMap(({ articleId, quantity }, at) => {
    const article = known.find(({ id }) => id === articleId);
    return article
      ? partFaults(article, quantity, `/contents/${at}`)
      : [fault(`/contents/${at}/articleId`, 'unknown', 'This article is no longer on the shelf.')];
  });
}

const LEFT_WORDS: Record<LeftFault, string> = {
  partOfPiece: WHOLE_PIECES,
  notInKit: 'The kit holds none of this (any more). Take the line out.',
  moreThanHeld: 'More cannot be left than the kits held.',
};

/** What speaks against what is said to be left of the kits of a draw. */
export function leftFaults(
  { quantity, left = [] }: DrawDto,
  parts: readonly KitPartDto[],
  pointer: string,
): FieldFaultDto[] {
  if (!mayOpen(quantity, parts)) return [fault(`${pointer}/quantity`, 'notWhole', WHOLE_KITS)];
  return left.flatMap((each, at) => {
    const where = `${pointer}/left/${at}`;
    const kind = leftFault(quantity, parts, each);
    if (kind === null) return [];
    const part = kind === 'notInKit' ? 'articleId' : 'quantity';
    return [fault(`${where}/${part}`, kind, LEFT_WORDS[kind])];
  });
}
