import { minorOf, onceEach } from '@yugator/core';

/** Groups thousands by a thin space, as on a meter plate: 1 196.7. */
const THIN_SPACE = '\u2009';

function grouped(text: string): string {
  return text.replace(/\B(?=(\d{3})+(?!\d))/g, THIN_SPACE);
}

/** Hours to the tenth, as hour meters show them. */
export function hoursWords(hours: number): string {
  const [whole = '', tenth = ''] = Math.abs(hours).toFixed(1).split('.');
  return `${hours < 0 ? '−' : ''}${grouped(whole)}.${tenth}`;
}

/** An interval's hours without needless decimals: 50, 7.5. */
export function intervalWords(hours: number): string {
  return grouped(String(hours));
}

const moneyFormat = onceEach((currency) => new Intl.NumberFormat('en-GB', { style: 'currency', currency }));

/** An amount of money in minor units: £28.90, or −£28.90. */
export function moneyWords(minor: number, currency: string): string {
  return moneyFormat(currency)
    .format(minor / minorOf(currency).perUnit)
    .replace('-', '−');
}

/** The same as a plain figure, for files: 28.9. */
export function moneyFigure(minor: number, currency: string): number {
  return minor / minorOf(currency).perUnit;
}

/** "1 item", "3 items" */
export function countWords(count: number, one: string, many = `${one}s`): string {
  return `${count} ${count === 1 ? one : many}`;
}

/** The number that somebody typed, with a point or a comma; NaN where it is none. */
export function parseFigure(text: string): number {
  const plain = text
    .trim()
    .replaceAll(/[\s\u2009]/g, '')
    .replace(',', '.');
  return /^-?\d*\.?\d+$|^-?\d+\.$/.test(plain) ? Number(plain) : NaN;
}
