import { civilDate } from '../calendar/civilDate.js';
import { cardState } from './cardState.js';

const card = { on: civilDate('2027-05-14'), itemIds: ['oil', 'air'] };
const visit = (on: string, ...itemIds: string[]) => ({ on: civilDate(on), itemIds });

it.each([
  ['planned', 'it is still to come', '2027-05-13', []],
  ['planned', 'it is its day', '2027-05-14', []],
  ['missed', 'its day is past', '2027-05-15', []],
  ['done', 'some of its work was done on its day', '2027-05-14', [visit('2027-05-14', 'air')]],
  ['done', 'it was done late', '2027-05-20', [visit('2027-05-19', 'oil', 'air')]],
  ['done', 'it was done a week early', '2027-05-08', [visit('2027-05-07', 'oil')]],
  ['planned', 'what was done longer ago was the time before', '2027-05-08', [visit('2027-05-06', 'oil')]],
  ['missed', 'something else was done on its day', '2027-05-15', [visit('2027-05-14', 'belt')]],
] as const)('a card is %s when %s', (state, _when, today, visits) => {
  expect(cardState(card, visits, civilDate(today))).toBe(state);
});
