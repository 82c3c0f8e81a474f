import { inBookOrder } from './inBookOrder.js';

const at = (itemId: string, bookId: string | null, place: number) => ({ itemId, item: { bookId, place } });

describe('the items of a job', () => {
  it('stand book by book, line by line, those of the machine alone last, whatever order they came in', () => {
    const wanted = [at('a', 'b1', 0), at('b', 'b1', 7), at('c', 'b2', 0), at('d', 'b2', 0), at('e', null, 0)];
    for (let turn = 0; turn < wanted.length; turn += 1) {
      const mixed = [...wanted.slice(turn), ...wanted.slice(0, turn)].reverse();
      expect(inBookOrder(mixed)).toEqual(wanted);
    }
  });
});
