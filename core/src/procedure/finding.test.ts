import { sheetSteps } from './compose.js';
import { measuredAgain, withMeasuredAgain } from '../measurement/again.js';
import { findingWords, itemFindings, jobFindings } from './finding.js';
import type { Finding } from './finding.js';
import { fluidWords } from './fluidWords.js';
import type { Measurement } from '../measurement/measurement.js';
import { ANNUAL_MOWER, setUp, work } from './testing/jobs.js';
import { wantedWords } from '../measurement/measurement.js';

describe('a fluid to fetch', () => {
  it('is named with the grades that the card approves, in the units of the reader', () => {
    const grade = { fromCelsius: null, toCelsius: null };
    const grades = [
      { ...grade, grade: '10W-30', category: 'API SJ or later' },
      { ...grade, grade: '5W-30', category: '' },
    ];
    const fluids = [
      { component: 'engineOil' as const, litresWithFilter: 2, litresWithoutFilter: null, grades },
    ];
    const oil = { fluid: 'engineOil', litres: 1.892706 } as const;
    // NIST Handbook 44: 1 qt = 0.946352946 L.
    expect(fluidWords(oil, { fluids }, 'us')).toBe('2 qt engine oil, 10W-30 (API SJ or later) or 5W-30');
    expect(fluidWords({ fluid: 'coolant', litres: 5 }, { fluids }, 'metric')).toBe('5 L coolant');
  });
});

describe('what a job found', () => {
  const items = [
    work('Tyre pressures', 'inspect', 'tyres'),
    work('Wheel bolts', 'tighten', 'wheelNuts'),
    work('Blades: sharpen and balance', 'sharpen', 'blades'),
  ];
  const steps = sheetSteps(setUp(items));
  const found = (fields: Record<string, Record<string, number | string>>) =>
    itemFindings(steps, new Map(Object.entries(fields)));

  it('is kept by item with the limits of that day; who found nothing is left out', () => {
    const findings = found({
      'tyres.rear': { left: 72, right: 74 },
      'wheelNuts.torque': { loose: 3, checked: 8 },
      'blades.tips': { first: 80 },
    });
    expect(findings.get('Tyre pressures')).toMatchObject([
      { key: 'tyres.rear', isGood: true, measurement: { low: 69, high: 83, sidewallMaximum: 97 } },
    ]);
    expect(findings.get('Wheel bolts')).toMatchObject([{ isGood: false }]);
    expect(findings.has('Blades: sharpen and balance')).toBe(false);
  });

  it('of a step that is no longer on the sheet is nothing', () => {
    expect(found({ 'tyres.middle': { left: 72, right: 74 } }).size).toBe(0);
  });

  it('is kept of a look though the part was then replaced, and the look is off the sheet', () => {
    const look = work('Air filter: look at', 'inspect', 'airFilter');
    const renew = work('Air filter: replace', 'replace', 'airFilter');
    const key = sheetSteps(setUp([look])).find((step) => step.look === 'airFilter')?.key ?? '';
    const both = setUp([look, renew]);
    expect(sheetSteps(both).map((step) => step.key)).not.toContain(key);
    const findings = jobFindings(both, new Map([[key, { sight: 'dark' }]]));
    expect(findings.get(look.id)).toMatchObject([{ key, isGood: false }]);
    expect(findings.has(renew.id)).toBe(false);
  });

  it('is told in the units of the reader', () => {
    const [tyres] = found({ 'tyres.rear': { left: 72.4, right: 75.8 } }).get('Tyre pressures') ?? [];
    // NIST SP 811: 1 psi = 6.894757 kPa, so 72.4 kPa = 10.5 psi and 75.8 kPa = 11 psi.
    expect(tyres && findingWords(tyres, 'us')).toBe('Pressure, rear pair: left 10.5 psi, right 11 psi');
    const [bolts] = found({ 'wheelNuts.torque': { loose: 3, checked: 8 } }).get('Wheel bolts') ?? [];
    expect(bolts && findingWords(bolts, 'metric')).toBe('Loose bolts: 3 of 8');
    const seen: Finding = {
      key: 'k',
      measurement: null,
      look: 'airFilter',
      isGood: false,
      found: { sight: 'dark', decided: 'cleanAndRefit', note: 'none on the shelf' },
    };
    expect(findingWords(seen, 'metric')).toBe('No light comes through (none on the shelf)');
  });

  it('is what was found at first, with what it was set to beside it', () => {
    const first = { left: 60, right: 80 };
    const set = withMeasuredAgain(withMeasuredAgain(first, { left: 70 }), { left: 80, right: 80 });
    expect(measuredAgain(set)).toEqual({ left: 80, right: 80 });
    const [tyres] = found({ 'tyres.rear': set }).get('Tyre pressures') ?? [];
    // The interval is judged by how it was found: 60 kPa is too little.
    expect(tyres?.isGood).toBe(false);
    expect(tyres && findingWords(tyres, 'metric')).toBe(
      'Pressure, rear pair: left 60 kPa, right 80 kPa, set to left 80 kPa, right 80 kPa',
    );
    expect(measuredAgain({ ...first, note: 'again.' })).toEqual({});
  });

  it.each<[Measurement, string | null]>([
    [{ kind: 'battery', label: '' }, '12.4 V or more'],
    [{ kind: 'grease', label: '', usual: 3 }, 'usually 3'],
    [{ kind: 'bolts', label: '' }, null],
    [
      { kind: 'deck', label: '', sidewaysWithin: 2.5, low: 3, high: 6, isUsual: false },
      'sides within 2.5 mm, front 3–6 mm lower',
    ],
    [
      { kind: 'bladeTips', label: '', within: 3, isUsual: true },
      'within 3 mm of each other; common practice, the card does not say',
    ],
  ])('is compared with %j', (measurement, words) => {
    expect(wantedWords(measurement, 'metric')).toBe(words);
  });

  it('asks every measurement of a yearly service for words of what is wanted, or takes any figure', () => {
    const measured = sheetSteps(setUp(ANNUAL_MOWER)).flatMap(({ measurement }) => measurement ?? []);
    expect(measured.length).toBeGreaterThan(4);
    for (const measurement of measured) {
      const words = wantedWords(measurement, 'us');
      expect([measurement.kind, words === null]).toEqual([measurement.kind, measurement.kind === 'bolts']);
      expect(words ?? '').not.toMatch(/NaN|undefined/);
    }
  });
});
