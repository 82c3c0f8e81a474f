import { componentSpec, COMPONENT_KEYS } from '../../component/components.js';
import type { Component } from '../../component/components.js';
import { jsonList } from '../../names/jsonList.js';
import { nameKey } from '../../names/nameKey.js';
import { isRecord, keysOf } from '../../names/record.js';
import { inUnit, parseQuantity } from '../../units/quantity.js';
import type { Dimension, Unit } from '../../units/units.js';
import type { MakerNumber } from '../makerNumbers.js';

/** How a value stands in a cell of a list. */
export interface Cell<T> {
  /** undefined where the text says no such value; it is never empty, and without blanks at its ends */
  readonly read: (text: string) => T | undefined;
  readonly write: (value: T) => string;
  /** what may stand there, to follow "write" */
  readonly wants: string;
}

export const TEXT: Cell<string> = { read: (text) => text, write: (text) => text, wants: 'words' };

const FIGURE = /^\d+(?:[.,]\d+)?$/;

/** A figure that is not below 0, with a point or a comma; of no more than `decimals`. */
export function figureCell(decimals: number): Cell<number> {
  const rule = `a figure${decimals ? ` with at most ${decimals} decimals` : ' without decimals'}`;
  return {
    read: (text) => {
      if (!FIGURE.test(text)) return undefined;
      const [, behind = ''] = text.split(/[.,]/);
      return behind.length <= decimals ? Number(text.replace(',', '.')) : undefined;
    },
    write: String,
    wants: rule,
  };
}

/** Money in minor units, written in whole ones: 28.90 of a currency with two `digits`. */
export function moneyCell(digits: number): Cell<number> {
  const figure = figureCell(digits);
  const perUnit = 10 ** digits;
  return {
    read: (text) => {
      const whole = figure.read(text);
      return whole === undefined ? undefined : Math.round(whole * perUnit);
    },
    write: (minor) => (minor / perUnit).toFixed(digits),
    wants: `an amount such as ${(28.9).toFixed(digits)}`,
  };
}

/** A measure that may not be known, kept to so many decimals of its unit; other units are taken where they are written. */
function measureCell(dimension: Dimension, unit: Unit, decimals: number, wants: string): Cell<number | null> {
  return {
    read: (text) => {
      const value = parseQuantity(text, dimension, unit);
      return value === null ? undefined : Number(value.toFixed(decimals));
    },
    write: (value) => (value === null ? '' : inUnit(value, dimension, unit, decimals)),
    wants,
  };
}

export const LENGTH = measureCell('length', 'mm', 3, 'a length such as 76 mm or 3 in');
export const PRESSURE = measureCell('pressure', 'kPa', 6, 'a pressure such as 70 kPa or 10 psi');

/** One of a closed list, by its words or its key. */
export function oneOf<K extends string>(words: Readonly<Record<K, string>>): Cell<K> {
  const keys = keysOf<K>(words);
  const byText = new Map(keys.flatMap((key) => [[nameKey(key), key] as const, [nameKey(words[key]), key]]));
  const all = keys.map((key) => words[key]);
  return {
    read: (text) => byText.get(nameKey(text)),
    write: (key) => words[key],
    wants: all.length > MOST_NAMED ? `one of a closed list, such as ${all[0]}` : all.join(', '),
  };
}

/** Of longer lists only the first is named. */
const MOST_NAMED = 9;

const SAID = new Map([
  ['yes', true],
  ['no', false],
]);

export const YES_OR_NO: Cell<boolean> = {
  read: (text) => SAID.get(text.toLowerCase()),
  write: (value) => (value ? 'yes' : 'no'),
  wants: 'yes or no',
};

const COMPONENT_WORDS = Object.fromEntries(
  COMPONENT_KEYS.map((key) => [key, componentSpec(key).words]),
) as Record<Component, string>;

export const COMPONENT: Cell<Component> = oneOf(COMPONENT_WORDS);

/** The same where nothing may be said. */
export function orNone<T>(cell: Cell<T>): Cell<T | null> {
  return { ...cell, write: (value) => (value === null ? '' : cell.write(value)) };
}

/** Several of a closed list, parted by semicolons. */
export function listOf<K extends string>(cell: Cell<K>): Cell<readonly K[]> {
  return {
    read: (text) => {
      const read = text.split(';').map((part) => cell.read(part.trim()));
      return read.every((each) => each !== undefined) ? [...new Set(read)] : undefined;
    },
    write: (values) => values.map(cell.write).join('; '),
    wants: `${cell.wants}; parted by semicolons`,
  };
}

/** What parts makers' numbers, so that one that holds it stands as JSON. */
const PARTS = /[:;>]|^\s*\[/;
const NUMBER = /^(?:([^:;>]*):)?([^:;>]+)(?:>([^:;>]+))?$/;

function makerNumberText({ maker, number, supersededBy }: MakerNumber): string {
  return `${maker ? `${maker}: ` : ''}${number}${supersededBy ? ` > ${supersededBy}` : ''}`;
}

function makerNumber(text: string): MakerNumber | undefined {
  const [, maker = '', number = '', supersededBy = ''] = NUMBER.exec(text) ?? [];
  return number.trim()
    ? { maker: maker.trim(), number: number.trim(), supersededBy: supersededBy.trim() }
    : undefined;
}

function makerNumberOf(value: unknown): MakerNumber | undefined {
  if (!isRecord(value)) return undefined;
  const { maker, number, supersededBy } = value;
  return typeof maker === 'string' && typeof number === 'string' && typeof supersededBy === 'string'
    ? { maker, number, supersededBy }
    : undefined;
}

/** Makers' numbers and what superseded them: "Verrick: VF 1 > VF 2; Marlow: M 1". Where that could be misread they stand as JSON. */
export const MAKER_NUMBERS: Cell<readonly MakerNumber[]> = {
  read: (text) => {
    const read = text.startsWith('[')
      ? jsonList(text)?.map(makerNumberOf)
      : text.split(';').map((part) => makerNumber(part.trim()));
    return read?.every((each) => each !== undefined) ? read : undefined;
  },
  write: (numbers) => {
    const isPlain = numbers.every((each) => !Object.values(each).some((text: string) => PARTS.test(text)));
    if (!isPlain)
      return JSON.stringify(
        numbers.map(({ maker, number, supersededBy }) => ({ maker, number, supersededBy })),
      );
    return numbers.map(makerNumberText).join('; ');
  },
  wants: 'numbers such as Verrick: VF 1 > VF 2; Marlow: M 1',
};
