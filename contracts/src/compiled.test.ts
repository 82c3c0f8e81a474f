import { plainToInstance } from 'class-transformer';
import { validateSync } from 'class-validator';
import fc from 'fast-check';
import { rulesOf } from './check/compiled.js';
import { plainFaults } from './check/plainFaults.js';
import { isDecimal } from './rules/decimal.js';
import { shapeFaults } from './check/shapeFaults.js';
import {
  CreateBookDto,
  CreateMachineDto,
  EnterRoundDto,
  FileJudgementDto,
  FleetFileDto,
  OpenJobDto,
  OutcomeDto,
  PageQueryDto,
  SignOffDto,
} from './index.js';

type Fields = Record<string, unknown>;
type Class = new () => object;

const ID = '00000000-0000-7000-8000-000000000001';
const LINE = {
  name: 'Engine oil',
  action: 'replace',
  component: 'engine oil',
  renews: [],
  minutes: 30,
  triggers: [
    { kind: 'everyHours', hours: 50, meter: 'engine', grid: null },
    { kind: 'everyCalendar', count: 7, unit: 'day', inUse: true },
  ],
  reference: '',
  note: '',
  windowHours: null,
  windowDays: 7,
  consequence: null,
};
const MACHINE = {
  tag: 'T-1',
  name: 'Jos\u00e9',
  machineClass: 'zeroTurn',
  make: '',
  model: '',
  fuel: 'gasoline',
  shed: 'Yard',
  walkOrder: 1,
  inServiceOn: '2026-04-01',
  inServiceHours: 12.5,
  cameNew: true,
};
const POINT = { book: 'Book', item: 'Engine oil', on: '2026-05-12', life: 212.4 };
/** One body that is right for each of some classes. */
const BODIES: [Class, Fields][] = [
  [OpenJobDto, { machineId: ID, itemIds: [ID] }],
  [
    OutcomeDto,
    { outcome: 'kept', untilLife: 212.4, untilMeter: 'loader', untilOn: '2027-07-01', version: 1 },
  ],
  [
    EnterRoundDto,
    { readings: [{ machineId: ID, shown: 1.5, confirmed: true }], readAt: '2027-05-13T17:10:00Z' },
  ],
  [SignOffDto, { doneOn: '2027-05-13', shown: 61.5, doneById: ID, minutes: 35, draws: [], version: 1 }],
  [CreateMachineDto, { ...MACHINE, bookIds: [] }],
  [CreateBookDto, { name: 'A book', machineClass: 'zeroTurn', meter: 'engine', items: [LINE] }],
  [
    FleetFileDto,
    {
      format: 'yugator-fleet',
      version: 1,
      site: { timeZone: 'Europe/London', hoursGrid: 'sinceDone' },
      seasons: [{ name: 'Mowing', years: [{ year: 2026, firstDay: '2026-03-24', lastDay: '2026-10-24' }] }],
      books: [{ name: 'Book', machineClass: 'zeroTurn', meter: 'engine', items: [LINE] }],
      machines: [
        {
          ...MACHINE,
          status: 'laidUp',
          statusSince: null,
          books: ['Book'],
          overrides: [],
          declared: [],
          seasons: [{ season: 'Mowing', hoursPerWeek: 8 }],
          attachments: [{ kind: 'loader', name: 'Loader', share: 0.2, hoursAtStart: 0, engineAtStart: 0 }],
          segments: [{ startsAt: '2026-04-01T00:00:00Z', offset: -12.5 }],
          readings: [{ at: '2026-05-12T17:10:00Z', shown: 212.4 }],
          done: [POINT],
          judged: [{ ...POINT, kind: 'kept', untilLife: 250, untilOn: null, meter: 'engine' }],
        },
      ],
    },
  ],
];

/** What the library makes of a body; null where it finds a fault. */
function byLibrary(dto: Class, body: Fields): object | null {
  if (plainFaults(body, 1).length || shapeFaults(body, dto, 1).length) return null;
  const instance = plainToInstance(dto, structuredClone(body));
  const rules = { whitelist: true, forbidNonWhitelisted: true, forbidUnknownValues: true };
  return validateSync(instance, rules).length ? null : instance;
}

/** Every place in a body: the object or list, and the key in it. */
function placesOf(value: unknown): [Fields, string][] {
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, each]): [Fields, string][] => [
    [value as Fields, key],
    ...placesOf(each),
  ]);
}

const ODD = fc.oneof(
  fc.constantFrom<unknown>(
    null,
    true,
    0,
    -1,
    1.005,
    5e-324,
    1e300,
    1e16,
    '',
    ' x ',
    'Jose\u0301',
    '\u202e',
    '\u0000',
  ),
  fc.constantFrom<unknown>(
    ID,
    ID.replace('1', 'A'),
    '2027-02-29',
    '2027-05-13',
    '2027-05-13T17:10:00Z',
    '1949-12-31',
  ),
  fc.constantFrom<unknown>(
    [],
    {},
    [null],
    [[]],
    [{}],
    { kind: 'storage', days: 30 },
    'engine',
    'replace',
    'kept',
  ),
  fc.constant(Array.from({ length: 101 }, () => 'x')),
  fc.double({ noNaN: true, min: -1e6, max: 1e6 }),
  fc.string({ maxLength: 400 }),
  fc.jsonValue({ maxDepth: 2 }),
);

describe('a judgement in a file', () => {
  const judged = (untilLife: unknown, untilOn: unknown) =>
    rulesOf(FileJudgementDto)?.read({ ...POINT, kind: 'kept', untilLife, untilOn }) ?? null;

  it('has hours or a day until which it holds; one without any limit is refused', () => {
    expect(judged(250, null)).not.toBeNull();
    expect(judged(null, '2027-07-01')).not.toBeNull();
    expect(judged(250, '2027-07-01')).not.toBeNull();
    expect(judged(null, null)).toBeNull();
  });
});

describe('rules run as one function', () => {
  it.each(BODIES)('take a right body as the library does: %p', (dto, body) => {
    expect(rulesOf(dto)?.read(structuredClone(body))).toEqual(byLibrary(dto, body));
    expect(rulesOf(dto)?.read(structuredClone(body))).toBeInstanceOf(dto);
  });

  it.each(BODIES)('refuse what the library refuses and nothing else: %p', (dto, body) => {
    let refused = 0;
    fc.assert(
      fc.property(fc.nat(), ODD, fc.nat(9), (place, odd, way) => {
        const changed = structuredClone(body);
        const places = placesOf(changed);
        const [within, key] = places[place % places.length] ?? [changed, 'x'];
        // Mostly another value; now and then one left out, or one too many.
        if (way === 0 && Array.isArray(within)) within.pop();
        else if (way === 0) Reflect.deleteProperty(within, key);
        else if (way === 1 && Array.isArray(within)) within.push(odd);
        else if (way === 1) within[`${key}x`] = odd;
        else within[key] = odd;
        const wanted = byLibrary(dto, changed);
        if (!wanted) refused += 1;
        expect(rulesOf(dto)?.read(structuredClone(changed)) ?? null).toEqual(wanted);
      }),
      { seed: 21, numRuns: 400 },
    );
    expect(refused).toBeGreaterThan(100);
  });

  it('leave what comes as text from an address to the library', () => {
    expect(rulesOf(PageQueryDto)?.read({ page: '3' })).toBeNull();
  });
});

describe('decimals', () => {
  it('have so many places, as they are written', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -10_000_000, max: 10_000_000 }),
        fc.integer({ min: 0, max: 3 }),
        (whole, places) => {
          const written = Number(`${whole}e-${places}`);
          expect(isDecimal(written, places)).toBe(true);
          const isShorter = whole % 10 === 0 || places === 0;
          if (places > 0) expect(isDecimal(written, places - 1)).toBe(isShorter);
        },
      ),
      { seed: 4 },
    );
    expect([NaN, Infinity, '1', null, 0.1 + 0.2, 5e-324].map((value) => isDecimal(value, 2))).not.toContain(
      true,
    );
  });
});
