import type { Finding } from '../procedure/finding.js';
import { defectsFound } from './foundDefects.js';

const pumped = (label: string, strokes: number): Finding => ({
  key: label,
  measurement: { kind: 'grease', label, usual: 3 },
  look: null,
  found: { strokes },
  isGood: strokes === 3,
});

describe('what a job finds', () => {
  it('is a defect by itself where a fitting takes no grease, once, however many items it was found for', () => {
    const findings = new Map([
      ['axles', [pumped('Strokes at pivot', 0), pumped('Strokes at hub', 3), pumped('Strokes at pin', 9)]],
      ['all', [pumped('Strokes at pivot', 0)]],
    ]);
    expect(defectsFound(findings, [])).toEqual([
      { itemId: 'axles', words: 'Strokes at pivot: it takes none' },
    ]);
    expect(defectsFound(findings, ['Strokes at pivot: it takes none'])).toEqual([]);
  });

  it('is none where something else was measured to be nought, or nothing was', () => {
    const bolts: Finding = {
      ...pumped('Bolts', 0),
      measurement: { kind: 'bolts', label: 'Bolts' },
      found: { loose: 0, checked: 8, strokes: 0 },
    };
    const seen: Finding = { ...pumped('Fitting', 0), found: { sight: 'dry' } };
    expect(defectsFound(new Map([['i', [bolts, seen]]]), [])).toEqual([]);
  });
});
