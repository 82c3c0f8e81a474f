import fc from 'fast-check';
import { addDays, civilDate } from '../calendar/civilDate.js';
import { paperFaults } from './paperFaults.js';
import type { KnownLife } from './paperFaults.js';

const at = (on: string, life: number): KnownLife => ({ on: civilDate(on), life });
const ENTRY = at('2024-04-01', 0);
const KNOWN = [at('2026-04-01', 200), at('2027-04-01', 300)];
const TODAY = civilDate('2027-05-13');
const codes = (...rows: KnownLife[]) =>
  paperFaults(rows, KNOWN, ENTRY, TODAY).map(({ place, fault }) => [place, fault.code]);

describe('the rows of a paper log', () => {
  it('that fit what is known are taken, in whatever order they are typed', () => {
    expect(codes(at('2026-09-01', 250), at('2025-05-01', 100), at('2027-04-01', 302))).toEqual([]);
  });

  it.each([
    ['a day to come', at('2027-05-14', 310), 'future'],
    ['a day before it went into service', at('2024-03-31', 0), 'beforeService'],
    ['fewer hours than were read before', at('2026-05-01', 150), 'backwards'],
    ['more hours than were read afterwards', at('2027-03-01', 320), 'tooMany'],
    ['more hours than the clock allows', at('2027-04-02', 360), 'tooFast'],
    ['fewer hours than it came with', at('2025-05-01', -1), 'backwards'],
  ])('cannot be true with %s', (_name, row, code) => {
    expect(codes(row)).toEqual([[0, code]]);
  });

  it('are held against one another, the later typed one being at fault', () => {
    expect(codes(at('2026-06-01', 240), at('2026-07-01', 230))).toEqual([[1, 'backwards']]);
  });

  it('whatever is typed, rows that pass together lie in one order of days and hours', () => {
    const row = fc.record({ day: fc.integer({ min: 0, max: 1200 }), life: fc.integer({ min: 0, max: 400 }) });
    fc.assert(
      fc.property(fc.array(row, { maxLength: 12 }), (typed) => {
        const rows = typed.map(({ day, life }) => ({ on: addDays(ENTRY.on, day), life }));
        const wrong = new Set(paperFaults(rows, KNOWN, ENTRY, TODAY).map(({ place }) => place));
        const good = rows.filter((_row, place) => !wrong.has(place));
        // The earlier typed one of two that contradict each other may stand; taken again alone, none is at fault.
        const again = paperFaults(good, KNOWN, ENTRY, TODAY);
        expect(again).toEqual([]);
        const ordered = [...good, ...KNOWN].sort((a, b) =>
          a.on < b.on ? -1 : a.on > b.on ? 1 : a.life - b.life,
        );
        for (const [place, point] of ordered.entries())
          expect(point.life).toBeGreaterThanOrEqual((ordered[place - 1]?.life ?? 0) - 0.05);
      }),
    );
  });
});
