import type { FieldFaultDto } from '@yugator/contracts';
import type { Article } from '../models/shelf.model.js';
import { fault } from '../problem/problem.js';

export const WHOLE_PIECES = 'Pieces are whole: type a whole number.';

/** What speaks against so much of an article: a part of a piece. */
export function pieceFaults(
  { unit }: Pick<Article, 'unit'>,
  quantity: number | null,
  pointer: string,
): FieldFaultDto[] {
  return unit === 'piece' && quantity !== null && !Number.isInteger(quantity)
    ? [fault(pointer, 'notWhole', WHOLE_PIECES)]
    : [];
}
