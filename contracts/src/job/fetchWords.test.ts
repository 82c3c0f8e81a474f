import { fetchWords } from './fetchWords.js';

const element = {
  itemId: 'oil',
  articleId: 'element',
  name: 'Element',
  unit: 'piece' as const,
  quantity: 2,
  onHand: 3,
  priceMinor: 700,
  component: null,
  judgement: null,
  sheds: [
    { shed: 'Boat house', quantity: 2 },
    { shed: 'North shed', quantity: 1 },
  ],
};
const words = (over: Partial<typeof element>, shed: string | null = 'North shed') =>
  fetchWords({ needs: [{ ...element, ...over }], kits: [], shed }, 'metric')[0];

it.each([
  ['of its own shed first, then of another', {}, '2 × Element, 1 from North shed, 1 from Boat house'],
  ['of its own shed alone where that is enough', { quantity: 1 }, '1 × Element, from North shed'],
  [
    'as far as it is there',
    { quantity: 5 },
    '5 × Element, 1 from North shed, 2 from Boat house (only 3 on hand)',
  ],
  ['of no shed what is not there', { onHand: 0, sheds: [] }, '2 × Element (only 0 on hand)'],
] as const)('what a job takes is fetched %s', (_how, over, said) => {
  expect(words(over as Partial<typeof element>)).toBe(said);
});

it('where sheds are not told apart, none is named', () => {
  expect(words({ sheds: [] }, null)).toBe('2 × Element');
});

it('what lies where nobody said comes before another shed', () => {
  const sheds = [
    { shed: 'Boat house', quantity: 2 },
    { shed: null, quantity: 1 },
  ];
  expect(words({ sheds } as unknown as Partial<typeof element>)).toBe(
    '2 × Element, 1 where no shed is said, 1 from Boat house',
  );
});

it('a kit that is opened is fetched from its shed, and says what it leaves', () => {
  const part = { articleId: 'element', name: 'Element', unit: 'piece' as const, quantity: 1 };
  const plug = { articleId: 'plug', name: 'Plug', unit: 'piece' as const, quantity: 2 };
  const kit = {
    articleId: 'kit',
    name: 'Kit',
    onHand: 1,
    priceMinor: 900,
    contents: [
      { ...part, priceMinor: 800 },
      { ...plug, priceMinor: 100 },
    ],
    sheds: [{ shed: 'Boat house', quantity: 1 }],
  };
  const needs = [{ ...element, quantity: 1, onHand: 0, sheds: [] }];
  expect(fetchWords({ needs, kits: [kit], shed: 'North shed' }, 'metric')).toEqual([
    '1 × Kit, from Boat house (leaves 2 × Plug)',
  ]);
});
