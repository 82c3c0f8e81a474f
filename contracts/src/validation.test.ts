import fc from 'fast-check';
import { validateSync } from 'class-validator';
import {
  characters,
  checkBody,
  CreateMachineDto,
  CreatePersonDto,
  EnterRoundDto,
  FirstCrewLeadDto,
  ImportFleetDto,
  isCivilDay,
  isId,
  isInstant,
  MOST_FAULTS,
  OpenJobDto,
  ShareDto,
  SignOffDto,
  UpdateSpecDto,
} from './index.js';

const SOMEBODY = '00000000-0000-7000-8000-000000000001';
const OTHER = '00000000-0000-7000-8000-000000000002';
const SIGN_OFF = {
  doneOn: '2027-05-13',
  shown: 61.5,
  doneById: SOMEBODY,
  minutes: 35,
  draws: [],
  version: 1,
};

/** The fields at fault, each with its sentence. */
function check(dto: new () => object, body: unknown): [string, string][] {
  return (checkBody(dto, body).faults ?? []).map(({ pointer, detail }) => [pointer, detail]);
}

describe('what crosses the wire', () => {
  it('is taken when it is right, blanks at its ends cut off', () => {
    expect(check(SignOffDto, SIGN_OFF)).toEqual([]);
    const person = checkBody(CreatePersonDto, {
      name: '  Dru Halloway ',
      role: 'operator',
      password: 'long enough, that',
    });
    expect(person.value?.name).toBe('Dru Halloway');
  });

  it.each([
    [{ shown: NaN }, '#/shown', /too large or too small|number, such as 412\.6/],
    [{ shown: -0.1 }, '#/shown', /less than 0/],
    [{ shown: 100_000 }, '#/shown', /99,999\.9/],
    [{ shown: 5e-324 }, '#/shown', /too large or too small/],
    [{ shown: 1e300 }, '#/shown', /too large or too small/],
    [{ doneOn: '2027-02-29' }, '#/doneOn', /date that exists/],
    [{ doneOn: '13.5.2027' }, '#/doneOn', /date that exists/],
    [{ doneOn: '9999-01-01' }, '#/doneOn', /date that exists/],
    [{ minutes: 1.5 }, '#/minutes', /whole number/],
    [{ doneById: SOMEBODY.toUpperCase().replace('1', 'A') }, '#/doneById', /who did it/],
    [{ draws: [{ articleId: SOMEBODY, quantity: 0 }] }, '#/draws/0/quantity', /more than 0/],
    [
      {
        draws: [
          { articleId: SOMEBODY, quantity: 1 },
          { articleId: SOMEBODY, quantity: 1 },
        ],
      },
      '#/draws',
      /counts once/,
    ],
    [{ draws: [7] }, '#/draws/0', /100 articles/],
    [{ draws: {} }, '#/draws', /100 articles/],
    [{ note: { toString: 'x' } }, '#/note', /1,000 letters/],
    [{ note: 'a\u0000b' }, '#/note', /cannot be seen/],
    [{ note: 'a\u202eb' }, '#/note', /direction of writing/],
    [{ note: 'a\ud800b' }, '#/note', /half a character/],
    [{ extra: 1 }, '#/extra', /no field "extra"/],
    [JSON.parse('{"__proto__": {"a": 1}}') as object, '#', /name that cannot be/],
  ])('names the field and the way out in %j', (over, field, sentence) => {
    const body = Object.defineProperties({ ...SIGN_OFF }, Object.getOwnPropertyDescriptors(over));
    const [fault] = check(SignOffDto, body);
    expect(fault?.[0]).toBe(field);
    expect(fault?.[1]).toMatch(sentence);
  });

  it.each([
    ['a file', ImportFleetDto, { isTrial: true }, '#/file'],
    ['a spec card', UpdateSpecDto, { version: 1 }, '#/spec'],
    ['a spec card that is null', UpdateSpecDto, { version: 1, spec: null }, '#/spec'],
    ['the same machine once', ShareDto, { parts: ['spec'], machineIds: [OTHER, OTHER] }, '#/machineIds'],
  ])('asks for %s', (_what, dto, body, field) => {
    expect(check(dto, body).map(([pointer]) => pointer)).toEqual([field]);
  });

  it('names each reading of a round that is wrong', () => {
    const readings = [{ machineId: SOMEBODY, shown: 1 }, { machineId: OTHER, shown: 'x' }, { shown: 2 }];
    expect(check(EnterRoundDto, { readings }).map(([field]) => field)).toEqual([
      '#/readings/1/shown',
      '#/readings/2/machineId',
    ]);
    expect(check(EnterRoundDto, { readings: [] })).toEqual([['#/readings', 'Type at least one reading.']]);
  });

  it('is named at twenty places at most, however much is wrong', () => {
    const many = Array.from({ length: 1500 }, () => 7);
    expect(check(EnterRoundDto, { readings: many })).toHaveLength(MOST_FAULTS);
    const odd = Array.from({ length: 1500 }, () => ({ machineId: 'X', shown: 'y' }));
    expect(check(EnterRoundDto, { readings: odd })).toHaveLength(MOST_FAULTS);
  });

  it('is checked the same whether its list is long or short, entry by entry', () => {
    const reading = (index: number, over: object = {}) => ({
      machineId: `00000000-0000-7000-8000-${String(index).padStart(12, '0')}`,
      shown: index,
      ...over,
    });
    const long = Array.from({ length: 300 }, (_, index) => reading(index));
    const taken = checkBody(EnterRoundDto, { readings: long });
    expect(taken.value).toBeInstanceOf(EnterRoundDto);
    expect(taken.value?.readings).toEqual(
      checkBody(EnterRoundDto, { readings: long.slice(0, 9) }).value?.readings.concat(
        taken.value?.readings.slice(9) ?? [],
      ),
    );
    const odd = [...long, reading(7, { shown: -1 }), reading(8, { extra: 1 })];
    expect(check(EnterRoundDto, { readings: odd, readAt: 'now' })).toEqual([
      ['#/readAt', 'Give the time of the round as 2027-05-13T17:10:00Z.'],
      ['#/readings/300/shown', 'An hour meter cannot show less than 0.'],
      ['#/readings/301/extra', 'There is no field "extra". Leave it out.'],
    ]);
  });

  it('is not looked into where a list is too long', () => {
    const long = Array.from({ length: 100_000 }, (_, index) => String(index));
    expect(check(OpenJobDto, { machineId: SOMEBODY, itemIds: long })).toEqual([
      ['#/itemIds', 'A job takes 100 items at most.'],
    ]);
    expect(check(SignOffDto, { ...SIGN_OFF, version: long })).toEqual([
      ['#/version', 'Send at most 100 entries.'],
    ]);
  });

  it('has a plain sentence for every rule, none in the words of the library', () => {
    for (const dto of [CreateMachineDto, CreatePersonDto, EnterRoundDto, FirstCrewLeadDto, SignOffDto]) {
      const sentences = validateSync(new dto()).flatMap((error) => Object.values(error.constraints ?? {}));
      expect(sentences.length).toBeGreaterThan(0);
      for (const sentence of sentences) expect(sentence).toMatch(/^[A-Z].*\.$/);
    }
  });
});

describe('a text', () => {
  it('is counted as the database counts it: one for each code point', () => {
    expect(characters('Müller')).toBe(6);
    expect(characters('🚜')).toBe(1);
    // Variation selectors take room in a column, though nobody sees them.
    expect(characters('x' + '\ufe0f'.repeat(80))).toBe(81);
    const person = { name: 'x' + '\ufe0f'.repeat(80), role: 'viewer', password: 'long enough, that' };
    expect(check(CreatePersonDto, person).map(([field]) => field)).toEqual(['#/name']);
  });

  it('is kept in composed form, so that one name is one name', () => {
    const person = { name: 'Jose\u0301', role: 'viewer', password: 'long enough, that' };
    expect(checkBody(CreatePersonDto, person).value?.name).toBe('Jos\u00e9');
  });
});

describe('scalars', () => {
  it('take ids in one spelling only', () => {
    fc.assert(
      fc.property(fc.uuid(), (id) => {
        expect(isId(id)).toBe(true);
        expect(isId(id.toUpperCase())).toBe(id === id.toUpperCase());
        expect(isId(` ${id}`) || isId(`${id}\n`) || isId([id])).toBe(false);
      }),
    );
  });

  it.each(['2027-05-13T17:10:00Z', '2027-05-13T17:10:00.123+02:00', '1950-01-01T00:00:00Z'])(
    'take %s as a moment (RFC 3339)',
    (text) => expect(isInstant(text)).toBe(true),
  );

  it.each([
    '2026-W01',
    '2027-05-13',
    '2027-02-30T10:00:00Z',
    '2027-05-13T24:00:00Z',
    '0001-01-01T00:00:00Z',
    null,
    7,
  ])('take no moment from %s', (text) => expect(isInstant(text)).toBe(false));

  it('take days from 1950 to 2100', () => {
    expect(['1950-01-01', '2100-12-31', '2028-02-29'].map(isCivilDay)).toEqual([true, true, true]);
    expect(['1949-12-31', '2101-01-01', '2027-02-29', '', null].map(isCivilDay)).not.toContain(true);
  });
});
