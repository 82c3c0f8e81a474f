import { article } from '../testing/articles.js';
import { found } from './foundArticles.js';

const FILTER = article({
  id: 'f',
  name: 'Oil filter, V-twin',
  number: 'F-01',
  barcode: '4006 1234',
  place: 'Rack A, 1',
  component: 'engineOilFilter',
  makerNumbers: [{ maker: 'Quillon', number: 'QF 1004', supersededBy: 'QF 1004B' }],
});
const TALL = article({ id: 't', name: 'Oil filter, tall', number: 'F-03', place: 'Rack A, 1' });
const PLUG = article({ id: 'p', name: 'Spark plug', number: 'QF-10', component: 'sparkPlugs' });

/** With the count, so that a search through many stays one through few. */
const MANY = Array.from({ length: 1000 }, (_, at) =>
  article({ id: `m${at}`, name: `Washer ${at}`, number: `W-${at}` }),
);

test.each([
  ['', ['f', 't', 'p']],
  ['oil filter', ['f', 't']],
  ['  FILTER tall ', ['t']],
  ['rack a', ['f', 't']],
  ['spark', ['p']],
  // What a scanner sends is that article alone, however its code is written.
  ['40061234', ['f']],
  ['f01', ['f']],
  ['qf 1004b', ['f']],
  ['QF10', ['p']],
  // A part of a number finds all that have it.
  ['qf', ['f', 'p']],
  ['nothing', []],
])('"%s" finds %j', (typed, ids) => {
  expect(found([FILTER, TALL, PLUG], typed).map(({ id }) => id)).toEqual(ids);
});

test('a code is found among a thousand', () => {
  expect(found(MANY, 'w 777').map(({ id }) => id)).toEqual(['m777']);
});
