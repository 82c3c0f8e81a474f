import { planFixture } from '../testing/plan.js';
import { cardsOfPlan, minutesOf, moved, planOfCards, publishedCards, settledBy, toFields } from './cards.js';

const PLAN = planFixture();
const [firstCard] = PLAN.cards;
if (!firstCard) throw new Error('The plan has cards.');

it('reads what is published, without work that is no longer planned, and writes it as it was', () => {
  const gone = { ...PLAN, cards: [...PLAN.cards, { ...firstCard, on: '2027-06-01', itemIds: ['gone'] }] };
  const cards = publishedCards(gone);
  expect(cards).toEqual([
    { machine: 0, day: 1, items: [0, 1], isLocked: false },
    { machine: 1, day: 4, items: [0], isLocked: true },
  ]);
  expect(toFields(cards, PLAN)).toEqual(
    PLAN.cards.map(({ minutes: _minutes, state: _state, ...card }) => card),
  );
});

it('leaves out what was done and what was missed', () => {
  const [first, second] = PLAN.cards.map((card, at) => ({ ...card, state: at ? 'done' : 'missed' }) as const);
  expect(publishedCards({ ...PLAN, cards: [first, second].flatMap((card) => card ?? []) })).toEqual([]);
});

it('adds up set-up, what is shared once, and the work', () => {
  const [first, second] = publishedCards(PLAN);
  // 9 of the visit, 4 of the hood, 20 and 10 of the work; 9 and 15 of the other.
  expect([first, second].map((card) => card && minutesOf(card, PLAN.instance))).toEqual([43, 24]);
});

it('moves a card, and onto a day with a visit of its machine makes one of both', () => {
  const cards = [
    { machine: 0, day: 1, items: [0], isLocked: false },
    { machine: 0, day: 4, items: [1], isLocked: false },
    { machine: 1, day: 4, items: [0], isLocked: false },
  ];
  const [card] = cards;
  if (!card) throw new Error('There is a card.');
  expect(moved(cards, card, 8)).toEqual([cards[1], cards[2], { ...card, day: 8 }]);
  expect(moved(cards, card, 4)).toEqual([cards[2], { ...card, day: 4, items: [0, 1] }]);
});

it('gives the planner what is locked as settled', () => {
  const locked = settledBy(publishedCards(PLAN), PLAN.instance).machines.map((machine) => machine.locked);
  expect(locked).toEqual([[], [{ day: 4, items: [0] }]]);
});

it('is the same as cards and as a plan', () => {
  const cards = publishedCards(PLAN);
  expect(cardsOfPlan(planOfCards(cards, PLAN.instance), PLAN.instance)).toEqual(cards);
});
