import fc from 'fast-check';
import { sheetSteps } from './compose.js';
import { settledChange, settledItems } from './settled.js';
import { ANNUAL_MOWER, setUp, work } from './testing/jobs.js';

describe('the items that ticks settle', () => {
  const oil = work('Engine oil and filter', 'replace', 'engineOil', 'engineOilFilter');
  const look = work('Air filter: look at', 'inspect', 'airFilter');
  const steps = sheetSteps(setUp([oil, look]));
  const workOf = (id: string) =>
    steps.filter(({ kind, itemIds }) => kind === 'work' && itemIds.includes(id)).map(({ key }) => key);

  it('are done with the last step of their own work, whatever else of the visit is open', () => {
    const all = workOf(oil.id);
    expect(all.length).toBeGreaterThan(5);
    expect(settledItems(steps, new Set(all.slice(1)))).toEqual(new Set());
    expect(settledItems(steps, new Set(all))).toEqual(new Set([oil.id]));
    // Walking round and making safe are nobody's work.
    expect(settledItems(steps, new Set(['visit.walkRound', 'access.safe.open']))).toEqual(new Set());
  });

  it('are taken back with the tick that made them so', () => {
    const all = new Set(workOf(oil.id));
    const without = new Set(workOf(oil.id).slice(1));
    expect(settledChange(steps, without, all)).toEqual({ done: [oil.id], takenBack: [] });
    expect(settledChange(steps, all, without)).toEqual({ done: [], takenBack: [oil.id] });
  });

  it('stand as they were when ticks are set and taken away again, whatever the ticks', () => {
    const sheet = sheetSteps(setUp(ANNUAL_MOWER));
    const keys = fc.subarray(sheet.map(({ key }) => key)).map((list) => new Set(list));
    fc.assert(
      fc.property(keys, keys, (before, after) => {
        const there = settledChange(sheet, before, after);
        const back = settledChange(sheet, after, before);
        expect(back).toEqual({ done: there.takenBack, takenBack: there.done });
      }),
      { seed: 12, numRuns: 100 },
    );
  });
});
