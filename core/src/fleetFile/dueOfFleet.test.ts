import { civilDate } from '../calendar/civilDate.js';
import type { Trigger } from '../schedule/trigger.js';
import { dueOfFleet } from './dueOfFleet.js';
import type { FileItem, FileMachine, FleetFile } from './fleetFile.js';

const LOADER_HOURS = { kind: 'everyHours', hours: 10, meter: 'loader', grid: null } as const;

function line(name: string, triggers: readonly unknown[], over: Partial<FileItem> = {}): FileItem {
  return {
    name,
    action: 'replace',
    component: name,
    triggers: triggers as Trigger[],
    renews: [],
    ...over,
  };
}

/** A machine that came new on 1 April 2026, mowed 7 h a week and was last read on 20 October at 200 h. */
function machine(over: Partial<FileMachine>): FileMachine {
  return {
    tag: 'T-1',
    inServiceOn: '2026-04-01',
    inServiceHours: 0,
    cameNew: true,
    status: 'inService',
    books: ['Book'],
    seasons: [{ season: 'Mowing', hoursPerWeek: 7 }],
    attachments: [],
    overrides: [],
    segments: [],
    readings: [
      { at: '2026-06-01T12:00:00Z', shown: 60 },
      { at: '2026-10-20T12:00:00Z', shown: 200 },
    ],
    done: [],
    declared: [],
    ...over,
  };
}

function dueOf(items: readonly FileItem[], over: Partial<FileMachine>, today = '2026-10-22') {
  const file: FleetFile = {
    site: { timeZone: 'Europe/London', hoursGrid: 'sinceDone' },
    seasons: [{ name: 'Mowing', years: [{ year: 2026, firstDay: '2026-03-24', lastDay: '2026-10-24' }] }],
    books: [{ name: 'Book', items }],
    machines: [machine(over)],
  };
  return dueOfFleet(file, civilDate(today));
}

describe('due answers of a fleet file', () => {
  it('take hours without a meter for the engine’s, so that running-in stands in for the interval', () => {
    const [oil] = dueOf(
      [
        line('oil', [
          { kind: 'firstHours', hours: 250 },
          { kind: 'everyHours', hours: 50 },
        ]),
      ],
      {},
    );
    expect(oil).toMatchObject({ dueHours: 250, left: 50 });
  });

  it('let a machine rest that is laid up, though nobody says since when', () => {
    const grease = [line('grease', [{ kind: 'everyHours', hours: 10 }])];
    const [rests] = dueOf(grease, { status: 'laidUp', statusSince: null });
    expect(rests).toMatchObject({ state: 'resting' });
    expect(dueOf(grease, {})[0]).toMatchObject({ state: 'overdue' });
  });

  it('have nothing due of a retired machine', () => {
    expect(dueOf([line('oil', [{ kind: 'everyHours', hours: 10 }])], { status: 'retired' })).toEqual([]);
  });

  const loader = { kind: 'loader', share: null, hoursAtStart: 35, engineAtStart: 150 } as const;

  it('count a meter that was not read yet from what it stood at when it was fitted', () => {
    const done = [{ book: 'Book', item: 'pins', on: '2026-10-01', life: 190 }];
    const [pins] = dueOf([line('pins', [LOADER_HOURS])], { attachments: [loader], done });
    expect(pins).toMatchObject({ dueHours: 45, left: 10 });
  });

  it('count readings of an attachment’s own before any share of the engine', () => {
    const readings = [
      { at: '2026-09-01T12:00:00Z', shown: 40 },
      { at: '2026-10-20T12:00:00Z', shown: 48 },
    ];
    const done = [{ book: 'Book', item: 'pins', on: '2026-09-01', life: 160 }];
    const of = (share: number | null) =>
      dueOf([line('pins', [LOADER_HOURS])], { attachments: [{ ...loader, share, readings }], done })[0];
    expect(of(0.5)).toMatchObject({ dueHours: 50, left: 2 });
    expect(of(null)).toEqual(of(0.5));
  });

  it('ask for the hours of a loader that nobody told about', () => {
    expect(dueOf([line('pins', [LOADER_HOURS])], {})[0]).toMatchObject({ state: 'noRecord', dueHours: null });
  });

  it('count what was kept on the meter that it names', () => {
    const judged = [
      { book: 'Book', item: 'pins', on: '2026-10-01', life: 190, kind: 'kept', untilLife: 60, untilOn: null },
    ] as const;
    const share = { ...loader, share: 0.2, hoursAtStart: 40, engineAtStart: 150 };
    const of = (meter: 'loader' | null) =>
      dueOf([line('pins', [LOADER_HOURS])], {
        attachments: [share],
        judged: judged.map((each) => ({ ...each, meter })),
      })[0];
    // 50 of the loader's hours at 200 of the engine's: 10 left; of the engine's 60 were passed long ago.
    expect(of('loader')).toMatchObject({ dueHours: 60, left: 10 });
    expect(of(null)).toMatchObject({ dueHours: 60, left: -140 });
  });

  it('renew by lines that the machine does not have any more', () => {
    const items = [
      line('look', [{ kind: 'everyHours', hours: 25 }], { action: 'inspect', components: ['airFilter'] }),
      line('replace', [{ kind: 'everyHours', hours: 100 }], { components: ['airFilter'] }),
    ];
    const left = { isOmitted: true, triggers: null, reason: 'foam' };
    const done = [{ book: 'Book', item: 'replace', on: '2026-10-10', life: 190 }];
    const lines = dueOf(items, { done, overrides: [{ book: 'Book', item: 'replace', ...left }] });
    expect(lines).toMatchObject([{ item: 'look', dueHours: 215, state: 'fine' }]);
  });

  it('refuse a trigger that is none', () => {
    expect(() => dueOf([line('oil', [{ kind: 'everyHours', hours: -1 }])], {})).toThrow(/trigger of "Book"/);
  });
});
