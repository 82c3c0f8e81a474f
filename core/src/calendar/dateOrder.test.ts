import { civilDate } from './civilDate.js';
import { DATE_ORDERS, typedDay, usualDateOrder } from './dateOrder.js';

// The zones and whose they are: IANA zone1970.tab; that the United States write the month first and Britain the day: CLDR 44.
describe('how days are usually typed', () => {
  it.each([
    'America/New_York',
    'America/Chicago',
    'America/Denver',
    'America/Boise',
    'America/Phoenix',
    'America/Los_Angeles',
    'America/Anchorage',
    'America/Adak',
    'America/Indiana/Indianapolis',
    'America/Kentucky/Louisville',
    'America/North_Dakota/Center',
    'Pacific/Honolulu',
  ])('in %s is with the month first', (zone) => {
    expect(usualDateOrder(zone)).toBe('monthFirst');
  });

  it.each([
    'Europe/London',
    'Europe/Berlin',
    'Pacific/Auckland',
    'America/Argentina/Buenos_Aires',
    'America/Mexico_City',
    'America/Indianapolis/of/nowhere',
    'Indiana/Knox',
    'UTC',
    '',
  ])('in %s is with the day first', (zone) => {
    expect(usualDateOrder(zone)).toBe('dayFirst');
  });
});

it('writes a day in each order', () => {
  const day = civilDate('2027-02-01');
  expect(DATE_ORDERS.map((order) => typedDay(day, order))).toEqual([
    '01/02/2027',
    '02/01/2027',
    '2027-02-01',
  ]);
});
