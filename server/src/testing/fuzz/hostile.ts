import type { Random } from '../../demo/random.js';

const JPEG_START = '/9j/4AAQSkZJRgABAQ';

/** Values that programs trip over: odd texts, figures, shapes and moments. */
const HOSTILE: readonly unknown[] = [
  ...[null, true, false, 0, -1, 1.5, 5e-324, -5e-324, 1e300, 1e15, 1e-7, 2 ** 53, -(2 ** 31), 99_999.95, NaN],
  ...['', ' ', 'x', '0', 'null', 'NaN', '__proto__', 'constructor', 'a\u0000b', 'half \ud800', '\udfff'],
  ...[
    '\u202egnirts',
    '\u200b',
    '\ufeffx',
    'ünï',
    'ｆｕｌｌ',
    'Jose\u0301',
    '🚜',
    'x'.repeat(81),
    'x\ufe0f'.repeat(80),
  ],
  ...[
    'x'.repeat(5_000),
    '%',
    '_',
    "' OR 1=1 --",
    '{{7*7}}',
    '=1+1',
    '../../etc/passwd',
    '<script>',
    '\n',
    '\t',
  ],
  ...['2026-W01', '2027-02-29', '0000-00-00', '9999-12-31', '2027-05-13', '2027-13-01', '1969-07-20'],
  ...['2027-05-13T17:10:00Z', '2027-05-13T25:00:00Z', '+275760-09-13T00:00:00Z', '1e5', '1,5', '0x10'],
  ...['00000000-0000-0000-0000-000000000000', 'ABCDEF00-0000-7000-8000-000000000001', JPEG_START],
  ...[[], {}, [[]], [null], [{}], [1, 2, 3], { a: 1 }, { toString: 1 }, { length: 5 }, [[[[[[[[[[]]]]]]]]]]],
  ...[Array.from({ length: 150 }, (_, index) => index), { __proto__x: 1, constructor: {} }],
];

export function pick<T>(list: readonly T[], random: Random): T {
  return list[Math.floor(random.next() * list.length)] as T;
}

export function hostileValue(random: Random): unknown {
  return pick(HOSTILE, random);
}

function isObject(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

/** The same value with one place in it, at random, spoilt: replaced, left out, added to, or repeated. */
export function spoilt(value: unknown, random: Random): unknown {
  if (Array.isArray(value) && value.length && random.chance(0.8)) {
    const at = Math.floor(random.next() * value.length);
    if (random.chance(0.15)) return [...(value as unknown[]), value[at] as unknown];
    return value.map((each: unknown, index) => (index === at ? spoilt(each, random) : each));
  }
  if (isObject(value) && Object.keys(value).length && random.chance(0.97)) {
    const key = pick(Object.keys(value), random);
    if (random.chance(0.1)) return Object.fromEntries(Object.entries(value).filter(([name]) => name !== key));
    if (random.chance(0.05))
      return { ...value, [pick(['extra', '', 'constructor', 'ü', 'id'], random)]: hostileValue(random) };
    return { ...value, [key]: spoilt(value[key], random) };
  }
  return hostileValue(random);
}
