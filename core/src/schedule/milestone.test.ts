import { milestoneAt, milestoneHours, nextMilestone } from './milestone.js';
import { withOverrides } from './override.js';
import { every, everyHours, item } from './testing/facts.js';

/** A compact tractor with a loader that runs a fifth of the engine's hours. */
const ITEMS = [
  item('first oil', [
    { kind: 'firstHours', hours: 50, meter: 'engine' },
    everyHours(200),
    every(12, 'month'),
  ]),
  item('grease', [everyHours(50)]),
  item('air element', [everyHours(100)]),
  item('loader grease', [everyHours(10, { meter: 'loader' })]),
  item('spindles', [everyHours(8)]),
  item('hoses', [every(12, 'month')]),
  item('dust valve', [every(7, 'day')]),
  item('battery', [{ kind: 'storage', days: 30 }]),
];
const per = (meter: string) => (meter === 'loader' ? 5 : 1);
const at = (hours: number) =>
  milestoneAt(hours, ITEMS, per).lines.map(({ item: { id }, reason }) => `${id}: ${reason.kind}`);

describe('a milestone', () => {
  it('is the union of the 100 h column, the 50 h rows, the loader by its own hours, and what only a date brings', () => {
    // 100 engine hours are 20 loader hours, twice its 10; 100 is no multiple of 8, nor of 200.
    expect(at(100)).toEqual([
      'first oil: byCalendar',
      'grease: onHours',
      'air element: onHours',
      'loader grease: onHours',
      'spindles: often',
      'hoses: byCalendar',
      'dust valve: byCalendar',
    ]);
    expect(at(200)).toContain('first oil: onHours');
    expect(at(200)).toContain('spindles: onHours');
    expect(at(50)).toContain('first oil: onHours');
  });

  it('stands at every column of the books', () => {
    expect(milestoneHours(ITEMS, 200, per)).toEqual([50, 100, 150, 200]);
    expect(milestoneHours(ITEMS, 500, per)).toHaveLength(10);
  });

  it('leaves out the hours of a loader that nobody told about', () => {
    const unknown = (meter: string) => (meter === 'loader' ? null : 1);
    const ids = milestoneAt(100, ITEMS, unknown).lines.map(({ item: { id } }) => id);
    expect(ids).not.toContain('loader grease');
    expect(ids).toContain('grease');
    expect(milestoneHours([item('pins', [everyHours(30, { meter: 'loader' })])], 500, unknown)).toEqual([]);
  });
});

describe('an override', () => {
  const override = {
    isOmitted: false,
    triggers: null,
    dutyFactor: null,
    window: null,
    reason: 'Dust on the ball fields',
  };

  it('changes what it names and leaves the rest as the book has it', () => {
    const {
      items: [oil, grease, element],
    } = withOverrides(ITEMS, [
      { ...override, itemId: 'first oil', triggers: [everyHours(100)] },
      { ...override, itemId: 'air element', dutyFactor: 0.5 },
    ]);
    expect(oil?.triggers).toEqual([everyHours(100)]);
    expect(grease).toBe(ITEMS[1]);
    expect(element).toEqual({ ...ITEMS[2], dutyFactor: 0.5 });
  });

  it('takes out what the machine does not have', () => {
    const { items, omitted } = withOverrides(ITEMS, [{ ...override, itemId: 'hoses', isOmitted: true }]);
    expect(items.map(({ id }) => id)).not.toContain('hoses');
    expect(omitted.map(({ id }) => id)).toEqual(['hoses']);
  });
});

describe('the column that a machine comes to next', () => {
  const columns = [50, 100, 200];
  it.each([
    [0, 50],
    [49.9, 50],
    // On a column, what it gets there is behind it.
    [50, 100],
    [199, 200],
    // After the last the chart begins again.
    [200, 50],
    [275, 100],
    [401, 50],
  ])('at %d h is that of %d', (life, next) => {
    expect(nextMilestone(columns, life)).toBe(next);
  });

  it('is none where no book has any', () => {
    expect(nextMilestone([], 120)).toBeNull();
  });
});
