import { CATEGORIES, CATEGORY_KEYS, categoryOfWords, coversCategory } from './categories.js';
import type { Category } from './categories.js';
import { isSameGrade, judgeFluid } from './compatibility.js';
import type { FluidPlace, FluidTraits } from './compatibility.js';
import { FLUID_KIND_KEYS, kindsTaken } from './fluidKind.js';
import type { FluidKind } from './fluidKind.js';
import { fluidFaultWords } from './fluidFaultWords.js';
import { COMPONENT_KEYS, componentSpec } from '../component/components.js';

/**
 * What each category takes the place of, written out by hand beside the table: API Motor Oil Guide and API 1509 for S and C (from
 * memory), API 1560 for GL, 49 CFR 571.116 for DOT; coolants by common practice.
 */
const COVERED: Record<Category, readonly Category[]> = {
  'API SF': [],
  'API SG': ['API SF'],
  'API SH': ['API SF', 'API SG'],
  'API SJ': ['API SF', 'API SG', 'API SH'],
  'API SL': ['API SF', 'API SG', 'API SH', 'API SJ'],
  'API SM': ['API SF', 'API SG', 'API SH', 'API SJ', 'API SL'],
  'API SN': ['API SF', 'API SG', 'API SH', 'API SJ', 'API SL', 'API SM'],
  'API SN PLUS': ['API SF', 'API SG', 'API SH', 'API SJ', 'API SL', 'API SM', 'API SN'],
  'API SP': ['API SF', 'API SG', 'API SH', 'API SJ', 'API SL', 'API SM', 'API SN', 'API SN PLUS'],
  'API SQ': ['API SF', 'API SG', 'API SH', 'API SJ', 'API SL', 'API SM', 'API SN', 'API SN PLUS', 'API SP'],
  'API CF': [],
  'API CF-4': [],
  'API CG-4': ['API CF-4'],
  'API CH-4': ['API CF-4', 'API CG-4'],
  'API CI-4': ['API CF-4', 'API CG-4', 'API CH-4'],
  'API CI-4 PLUS': ['API CF-4', 'API CG-4', 'API CH-4', 'API CI-4'],
  'API CJ-4': ['API CF-4', 'API CG-4', 'API CH-4', 'API CI-4', 'API CI-4 PLUS'],
  'API CK-4': ['API CF-4', 'API CG-4', 'API CH-4', 'API CI-4', 'API CI-4 PLUS', 'API CJ-4'],
  'API FA-4': [],
  'API GL-4': [],
  'API GL-5': [],
  'DOT 3': [],
  'DOT 4': ['DOT 3'],
  'DOT 5.1': ['DOT 3', 'DOT 4'],
  'DOT 5': [],
  'Coolant, inorganic (IAT)': [],
  'Coolant, organic (OAT)': [],
  'Coolant, hybrid (HOAT)': [],
};

test('every pair of categories is as published', () => {
  for (const has of CATEGORY_KEYS)
    for (const wants of CATEGORY_KEYS)
      expect([has, wants, coversCategory(has, wants)]).toEqual([
        has,
        wants,
        has === wants || COVERED[has].includes(wants),
      ]);
});

test('the families of categories do not mix', () => {
  for (const has of CATEGORY_KEYS)
    for (const wants of CATEGORY_KEYS)
      if (coversCategory(has, wants)) expect(CATEGORIES[has].family).toBe(CATEGORIES[wants].family);
});

test.each([
  ['API SJ or later', 'API SJ'],
  ['CI-4 or higher', 'API CI-4'],
  ['  api ck-4 ', 'API CK-4'],
  ['DOT 3 or better', 'DOT 3'],
  ['API SJ/CF', null],
  ['as good as API SJ', null],
  ['', null],
])('a card that says "%s" asks for %s', (words, category) => {
  expect(categoryOfWords(words)).toBe(category);
});

test.each([
  ['SAE 10W-30', '10w30', true],
  ['10W-30', '10W-40', false],
  ['ISO VG 46', 'ISO VG46', true],
  ['30', 'SAE 30', true],
])('%s and %s', (a, b, same) => {
  expect(isSameGrade(a, b)).toBe(same);
});

/** By hand (common practice): what goes into what. */
const TAKES: readonly (readonly [string, readonly FluidKind[]])[] = [
  ['engineOil', ['engineOil']],
  ['coolant', ['coolant']],
  ['transmissionOil', ['tractorFluid', 'hydrostaticOil', 'gearOil']],
  ['transaxleOil', ['tractorFluid', 'hydrostaticOil', 'gearOil', 'engineOil']],
  ['frontAxleOil', ['tractorFluid', 'gearOil']],
  ['frontDifferentialOil', ['tractorFluid', 'gearOil']],
  ['hydroOil', ['tractorFluid', 'hydrostaticOil', 'engineOil']],
  ['hydraulicOil', ['tractorFluid', 'hydraulicOil']],
  ['steeringFluid', ['tractorFluid', 'steeringFluid']],
  ['gearboxOil', ['gearOil']],
  ['brakeFluid', ['brakeFluid']],
  ['fuel', []],
];

function place(more: Partial<FluidPlace>): FluidPlace {
  return { component: 'engineOil', fuel: 'gasoline', approved: [], original: null, expected: null, ...more };
}

function traits(kind: FluidKind, grade = '', ...categories: Category[]): FluidTraits {
  return { kind, grade, categories };
}

describe('the kinds of fluid', () => {
  it('go where common practice puts them, and nowhere else: every pair', () => {
    const fluids = COMPONENT_KEYS.filter((key) => componentSpec(key).is === 'fluid');
    expect(TAKES.map(([key]) => key).toSorted()).toEqual([...fluids].toSorted());
    for (const component of fluids)
      for (const kind of FLUID_KIND_KEYS) {
        const takes = TAKES.find(([key]) => key === component)?.[1] ?? [];
        const { faults } = judgeFluid(traits(kind), place({ component }));
        expect([component, kind, faults.some(({ code }) => code === 'otherKind')]).toEqual([
          component,
          kind,
          !takes.includes(kind),
        ]);
      }
  });

  it('do not go where no fluid goes', () => {
    const rest = COMPONENT_KEYS.filter((key) => componentSpec(key).is !== 'fluid');
    expect(rest.flatMap(kindsTaken)).toEqual([]);
  });

  it("are narrowed by the maker's own article", () => {
    const component = 'hydroOil';
    const original = traits('engineOil', '20W-50', 'API SJ');
    expect(judgeFluid(traits('tractorFluid'), place({ component })).verdict).toBe('suits');
    expect(judgeFluid(traits('tractorFluid'), place({ component, original })).verdict).toBe('stop');
    expect(judgeFluid(traits('engineOil', '20W-50', 'API SN'), place({ component, original }))).toEqual({
      verdict: 'suits',
      faults: [],
    });
    expect(judgeFluid(traits('engineOil', '10W-30', 'API SN'), place({ component, original }))).toMatchObject(
      {
        verdict: 'stop',
        faults: [{ code: 'otherGrade', approved: ['20W-50'] }],
      },
    );
  });
});

const DIESEL = place({
  fuel: 'diesel',
  approved: [
    { grade: '15W-40', category: 'API CI-4 or later', fromCelsius: -15, toCelsius: 45 },
    { grade: '10W-30', category: 'API CI-4 or later', fromCelsius: -25, toCelsius: 30 },
  ],
});
const GASOLINE = place({
  approved: [{ grade: '10W-30', category: 'API SJ or later', fromCelsius: -18, toCelsius: 40 }],
});

/** Facts of the trade, each with its place; common practice where no source is named. */
test.each<[string, FluidTraits | null, FluidPlace, string, readonly string[]]>([
  [
    'gasoline oil in a diesel',
    traits('engineOil', '10W-30', 'API SN'),
    DIESEL,
    'stop',
    ['otherFuel', 'otherCategory'],
  ],
  [
    'diesel oil in a gasoline engine',
    traits('engineOil', '10W-30', 'API CK-4'),
    GASOLINE,
    'stop',
    ['otherFuel', 'otherCategory'],
  ],
  ['oil for both, in either', traits('engineOil', '10W-30', 'API CK-4', 'API SN'), DIESEL, 'suits', []],
  ['oil for both, in the other', traits('engineOil', '10W-30', 'API CK-4', 'API SN'), GASOLINE, 'suits', []],
  [
    'FA-4 where CI-4 is wanted (API 1509)',
    traits('engineOil', '10W-30', 'API FA-4'),
    DIESEL,
    'stop',
    ['otherCategory'],
  ],
  ['an older category', traits('engineOil', '15W-40', 'API CH-4'), DIESEL, 'stop', ['otherCategory']],
  ['a later category', traits('engineOil', '15W-40', 'API CJ-4'), DIESEL, 'suits', []],
  ['hydraulic oil for engine oil', traits('hydraulicOil', 'ISO VG 46'), DIESEL, 'stop', ['otherKind']],
  ['a grade that is not approved', traits('engineOil', '5W-20', 'API SP'), GASOLINE, 'stop', ['otherGrade']],
  ['a label without category', traits('engineOil', '10W-30'), GASOLINE, 'doubt', ['categoryUnsaid']],
  ['what nobody described', null, GASOLINE, 'doubt', ['unsaid']],
  [
    'colder than approved',
    traits('engineOil', '15W-40', 'API CK-4'),
    { ...DIESEL, expected: { low: -20, high: 25 } },
    'doubt',
    ['tooCold'],
  ],
  [
    'warmer than approved',
    traits('engineOil', '10W-30', 'API CK-4'),
    { ...DIESEL, expected: { low: 0, high: 35 } },
    'doubt',
    ['tooWarm'],
  ],
  [
    'no card: by cold cranking (SAE J300: 15W to -20 °C)',
    traits('engineOil', '15W-40', 'API SN'),
    place({ expected: { low: -21, high: 20 } }),
    'doubt',
    ['tooCold'],
  ],
  [
    'no card, as cold as it cranks',
    traits('engineOil', '15W-40', 'API SN'),
    place({ expected: { low: -20, high: 20 } }),
    'suits',
    [],
  ],
  [
    'words of a card that nobody can compare',
    traits('engineOil', '10W-30', 'API SN'),
    place({ approved: [{ grade: '10W-30', category: 'the good one', fromCelsius: null, toCelsius: null }] }),
    'doubt',
    ['categoryUnread'],
  ],
  [
    'OAT coolant where IAT is in',
    traits('coolant', '', 'Coolant, organic (OAT)'),
    place({ component: 'coolant', original: traits('coolant', '', 'Coolant, inorganic (IAT)') }),
    'stop',
    ['otherCategory'],
  ],
  [
    'DOT 5 where DOT 4 is wanted (49 CFR 571.116)',
    traits('brakeFluid', '', 'DOT 5'),
    place({ component: 'brakeFluid', original: traits('brakeFluid', '', 'DOT 4') }),
    'stop',
    ['otherCategory'],
  ],
  [
    'DOT 5.1 where DOT 3 is wanted',
    traits('brakeFluid', '', 'DOT 5.1'),
    place({ component: 'brakeFluid', original: traits('brakeFluid', '', 'DOT 3') }),
    'suits',
    [],
  ],
  [
    'GL-5 where GL-4 is wanted (API 1560)',
    traits('gearOil', '80W-90', 'API GL-5'),
    place({ component: 'frontAxleOil', original: traits('gearOil', '80W-90', 'API GL-4') }),
    'stop',
    ['otherCategory'],
  ],
])('%s', (_case, own, where, verdict, codes) => {
  const judged = judgeFluid(own, where);
  expect([judged.verdict, judged.faults.map(({ code }) => code)]).toEqual([verdict, codes]);
  for (const fault of judged.faults) expect(fluidFaultWords([fault], 'metric')).toMatch(/^[A-Z].*\.$/);
});

test('a grade that the card approves twice is taken by either line', () => {
  const line = { grade: '10W-30', fromCelsius: null, toCelsius: null };
  const approved = [
    { ...line, category: 'API CJ-4' },
    { ...line, category: 'API CH-4' },
  ];
  expect(
    judgeFluid(traits('engineOil', '10W-30', 'API CI-4'), place({ fuel: 'diesel', approved })).verdict,
  ).toBe('suits');
});
