import { civilDate } from '../calendar/civilDate.js';
import { blockedDays } from './neededDays.js';

const TODAY = civilDate('2027-05-10');
const needed = (from: string, until: string, machineId: string | null = 'm') => ({
  machineId,
  from: civilDate(from),
  until: civilDate(until),
});

it.each([
  ['its own days, the last one included', [needed('2027-05-12', '2027-05-14')], [2, 3, 4]],
  ['days on which none of them may be missing', [needed('2027-05-12', '2027-05-12', null)], [2]],
  ['not those of another machine', [needed('2027-05-12', '2027-05-14', 'other')], []],
  ['what is left of days that began before today', [needed('2027-05-01', '2027-05-11')], [0, 1]],
  ['nothing of what is past', [needed('2027-05-01', '2027-05-09')], []],
  ['no day beyond what is planned', [needed('2027-05-18', '2030-01-01')], [8, 9]],
  ['a day once', [needed('2027-05-12', '2027-05-13'), needed('2027-05-13', '2027-05-14', null)], [2, 3, 4]],
])('a machine is not to be missing on %s', (_what, days, blocked) => {
  expect(blockedDays(days, 'm', TODAY, 10)).toEqual(blocked);
});
