import { civilDate } from '../calendar/civilDate.js';
import { daysUntilHere, withKitContents } from './partsHere.js';

const TODAY = civilDate('2027-05-10');
const later = [
  { on: civilDate('2027-05-22'), quantity: 3 },
  { on: civilDate('2027-05-15'), quantity: 1 },
];
const late = [{ on: civilDate('2027-05-09'), quantity: 1 }];

it.each([
  ['what lies there is here', 2, 2, later, 0],
  ['what is missing comes with the first that is enough', 2, 1, later, 5],
  ['more comes later', 4, 0, later, 12],
  ['what nobody ordered can be bought by any day', 9, 1, later, 0],
  ['what is below nothing on the book is nothing', 1, -3, later, 5],
  ['what was to come yesterday comes today', 1, 0, late, 0],
])('%s', (_what, quantity, onHand, arrivals, days) => {
  expect(daysUntilHere(quantity, onHand, arrivals, TODAY)).toBe(days);
});

it('what unopened kits hold lies there too', () => {
  const kits = new Map([
    [
      'kit',
      [
        { articleId: 'filter', quantity: 1 },
        { articleId: 'oil', quantity: 1.9 },
      ],
    ],
  ]);
  const all = withKitContents(
    new Map([
      ['kit', 2],
      ['oil', 0.5],
      ['plug', 3],
    ]),
    kits,
  );
  expect([...all].sort()).toEqual([
    ['filter', 2],
    ['kit', 2],
    ['oil', 4.3],
    ['plug', 3],
  ]);
});
