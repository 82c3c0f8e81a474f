import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import type { MachineDetailDto, Role } from '@yugator/contracts';
import type { ReactNode } from 'react';
import { dueLine } from '../testing/fixtures.js';
import { machineDetail } from '../testing/machines.js';
import { shownDay, typeDay } from '../testing/day.js';
import { pickComponent, press, type } from '../testing/user.js';
import { showTo, wire } from '../testing/wire.js';
import type { Wire } from '../testing/wire.js';
import { Attachments } from './Attachments.js';
import { OwnItems } from './OwnItems.js';
import { Overrides } from './Overrides.js';
import { Participation } from './Participation.js';
import { StatusChange } from './StatusChange.js';

const MOWING = '00000000-0000-7000-8000-0000000000a1';
const WINTER = '00000000-0000-7000-8000-0000000000a2';
const SEASONS = {
  version: 1,
  seasons: [
    { id: MOWING, name: 'Mowing', years: [], machines: [] },
    { id: WINTER, name: 'Winter', years: [], machines: [] },
  ],
};

let server: Wire;
beforeEach(() => {
  server = wire(
    () => SEASONS,
    () => machineDetail(),
  );
});
const show = (content: ReactNode, role: Role = 'crewLead') => showTo(role, content);

describe('the status of a machine', () => {
  const history: MachineDetailDto['statusChanges'] = [
    { status: 'laidUp', since: '2026-11-01', reason: 'Frost', by: 'Marit' },
  ];

  it('is changed with its day and reason, and shows its history', async () => {
    show(<StatusChange machine={machineDetail({ statusChanges: history })} />);
    await press('Status: In service');
    const dialog = await screen.findByRole('dialog');
    expect(await within(dialog).findByText(/Laid up since 2026-11-01: Frost/)).toBeDefined();
    await typeDay('Since', '2027-05-12');
    await type('Why', 'Cracked spindle');
    await press('Keep');
    await waitFor(() => expect(server.sent).toHaveLength(1));
    expect(server.sent[0]).toEqual({
      method: 'POST',
      path: '/api/machines/m/status',
      body: { status: 'inService', since: '2027-05-12', reason: 'Cracked spindle', version: 4 },
    });
  });

  it('is not changed without a reason; what was typed stays', async () => {
    show(<StatusChange machine={machineDetail()} />);
    await press('Status: In service');
    await screen.findByRole('dialog');
    await typeDay('Since', '2027-05-12');
    await press('Keep');
    expect(await screen.findByText('Say in 3 to 200 letters why.')).toBeDefined();
    expect(await shownDay('Since')).toBe('12/05/2027');
    expect(server.sent).toEqual([]);
  });
});

describe('a departure from the book', () => {
  const OIL = '00000000-0000-7000-8000-00000000000a';
  const every = (count: number) => ({ kind: 'everyCalendar', count, unit: 'month', inUse: null }) as const;
  const hours = (count: number, meter: 'engine' | 'loader' = 'engine') =>
    ({ kind: 'everyHours', hours: count, meter, grid: null }) as const;
  const machine = (over: Partial<MachineDetailDto> = {}) =>
    machineDetail({
      lines: [dueLine({ itemId: OIL })],
      rules: [{ itemId: OIL, triggers: [hours(50), hours(10, 'loader'), every(12)] }],
      ...over,
    });

  it('is sent with the interval that was typed, all other limits staying as the book has them', async () => {
    show(<Overrides machine={machine()} />);
    await press('Depart from a line');
    await screen.findByRole('dialog');
    await type(/Duty factor/, '50 %');
    await type('Every so many months', '6');
    await type('Why', 'Dust on the ball fields');
    await press('Keep');
    await waitFor(() => expect(server.sent).toHaveLength(1));
    expect(server.sent[0]).toEqual({
      method: 'PUT',
      path: `/api/machines/m/overrides/${OIL}`,
      body: {
        isOmitted: false,
        reason: 'Dust on the ball fields',
        dutyFactor: 0.5,
        windowHours: null,
        windowDays: null,
        triggers: [hours(50), hours(10, 'loader'), every(6)],
      },
    });
  });

  it('counts hours on the meter that is chosen', async () => {
    const loader = {
      kind: 'loader',
      name: '',
      share: 0.2,
      hoursAtStart: 0,
      engineAtStart: 0,
      life: 9,
    } as const;
    show(<Overrides machine={machine({ attachments: [loader] })} />);
    await press('Depart from a line');
    const dialog = await screen.findByRole('dialog');
    await type('Every so many hours', '8');
    fireEvent.mouseDown(within(dialog).getByLabelText('Hours of the'));
    fireEvent.click(screen.getByRole('option', { name: 'Loader' }));
    await type('Why', 'Salt');
    await press('Keep');
    await waitFor(() => expect(server.sent).toHaveLength(1));
    expect(server.sent[0]?.body).toMatchObject({
      dutyFactor: null,
      triggers: [hours(50), hours(8, 'loader'), every(12)],
    });
  });

  it('refuses a figure that cannot be read, and keeps what it was not told to change', async () => {
    const before = {
      itemId: OIL,
      itemName: 'Engine oil',
      isOmitted: false,
      dutyFactor: 0.5,
      triggers: [hours(40)],
      windowHours: 3,
      windowDays: null,
      reason: 'Dust',
    };
    show(<Overrides machine={machine({ overrides: [before] })} />);
    await press('Depart from a line');
    await screen.findByRole('dialog');
    await type(/Duty factor/, 'a half');
    await type('Why', 'More dust');
    await press('Keep');
    expect(await screen.findByText('Type a share, such as 20 %.')).toBeDefined();
    expect(server.sent).toEqual([]);
    await type(/Duty factor/, '');
    await press('Keep');
    await waitFor(() => expect(server.sent).toHaveLength(1));
    expect(server.sent[0]?.body).toMatchObject({ dutyFactor: 0.5, triggers: [hours(40)], windowHours: 3 });
  });

  it('is told in words and taken back', async () => {
    const override = {
      itemId: 'oil',
      itemName: 'Engine oil',
      isOmitted: false,
      dutyFactor: 0.5,
      triggers: null,
      windowHours: null,
      windowDays: null,
      reason: 'Dust',
    };
    show(<Overrides machine={machineDetail({ overrides: [override] })} />);
    expect(screen.getByText(/its hours at 50 %/)).toBeDefined();
    await press('Follow the book again: Engine oil');
    await waitFor(() =>
      expect(server.sent).toMatchObject([{ method: 'DELETE', path: '/api/machines/m/overrides/oil' }]),
    );
  });
});

describe('an item of its own', () => {
  it('is added beside those that are there, and the refusal of the server is told', async () => {
    server.refuse({ title: 'x', status: 422, detail: 'Say when it is due: at least one trigger is needed.' });
    show(<OwnItems machine={machineDetail()} />);
    await press('Add an item');
    await screen.findByRole('dialog');
    await type('Item', 'Beacon');
    await pickComponent('Done to', 'beacon', 'lights and beacon');
    await press('Add');
    expect(await screen.findByText(/at least one trigger is needed/)).toBeDefined();
    server.refuse(null);
    await type('Every so many days', '7');
    await press('Add');
    await waitFor(() => expect(server.sent).toHaveLength(2));
    expect(server.sent[1]?.body).toMatchObject({
      version: 4,
      items: [{ name: 'Beacon', components: ['lights'], minutes: 10 }],
    });
  });

  it('of an older version are settled by saying what they are done to, and not by saying nothing', async () => {
    const old = {
      id: 'o',
      name: 'Beacon glass',
      action: 'inspect' as const,
      components: [],
      component: 'beacon glass',
      triggers: [{ kind: 'storage' as const, days: 30 }],
      renews: [],
      minutes: 5,
      reference: '',
      note: '',
      windowHours: null,
      windowDays: null,
    };
    show(<OwnItems machine={machineDetail({ ownItems: [old] })} />);
    await press('Say what Beacon glass is done to');
    await screen.findByText('It was done to “beacon glass”.');
    await press('Keep');
    expect(await screen.findByText('Choose what it is done to.')).toBeDefined();
    expect(server.sent).toEqual([]);
    await pickComponent('Done to', 'beacon', 'lights and beacon');
    await press('Keep');
    await waitFor(() => expect(server.sent).toHaveLength(1));
    expect(server.sent[0]?.body).toMatchObject({ items: [{ id: 'o', components: ['lights'] }] });
  });
});

describe('the seasons of a machine', () => {
  const participation = [{ seasonId: MOWING, hoursPerWeek: 8 }];

  it('are saved with their hours, and refused without', async () => {
    show(<Participation machine={machineDetail({ participation })} mayChange />);
    expect(await screen.findByText('8 h a week in Mowing. Outside of them it is laid up.')).toBeDefined();
    fireEvent.click(await screen.findByRole('checkbox', { name: 'Winter' }));
    await press('Save its seasons');
    expect(await screen.findByText('Give the planned hours a week as a number, such as 8.')).toBeDefined();
    expect(server.sent).toEqual([]);
    await type('Hours a week in Winter', '2,5');
    await press('Save its seasons');
    await waitFor(() => expect(server.sent).toHaveLength(1));
    expect(server.sent[0]?.body).toEqual({
      version: 4,
      participation: [...participation, { seasonId: WINTER, hoursPerWeek: 2.5 }],
    });
  });

  it('are only told to whoever may not change them', async () => {
    show(<Participation machine={machineDetail({ participation })} mayChange={false} />, 'viewer');
    expect(await screen.findByText(/8 h a week in Mowing/)).toBeDefined();
    expect(screen.queryByRole('checkbox')).toBeNull();
  });
});

describe('an attachment', () => {
  const attachment = { kind: 'loader' as const, name: 'Loader', hoursAtStart: 0, engineAtStart: 100 };

  it('with a meter of its own is sent without a share, beside the ones that are there', async () => {
    const shared = { ...attachment, share: 0.2, life: 12 };
    show(<Attachments machine={machineDetail({ attachments: [shared] })} mayChange />);
    expect(screen.getByText(/12.0 h, counted as 20 % of the engine hours/)).toBeDefined();
    await press('Add an attachment');
    await screen.findByRole('dialog');
    fireEvent.mouseDown(screen.getByLabelText('What it is'));
    fireEvent.click(screen.getByRole('option', { name: 'Blower' }));
    await type(/^Name/, 'Snow blower');
    fireEvent.mouseDown(screen.getByLabelText('How its hours are known'));
    fireEvent.click(screen.getByRole('option', { name: 'A meter of its own' }));
    expect(screen.queryByLabelText(/^Share/)).toBeNull();
    await type('Its meter shows', '41,5');
    await press('Keep');
    await waitFor(() => expect(server.sent).toHaveLength(1));
    expect(server.sent[0]?.body).toMatchObject({
      attachments: [
        { ...attachment, share: 0.2 },
        { kind: 'blower', name: 'Snow blower', share: null, hoursAtStart: 41.5 },
      ],
    });
    expect(JSON.stringify(server.sent[0]?.body)).not.toContain('life');
  });

  it('with a meter of its own can be read, also by whoever may not change it', () => {
    const own = { ...attachment, share: null, life: 88 };
    show(<Attachments machine={machineDetail({ attachments: [own] })} mayChange={false} />, 'operator');
    expect(screen.getByText(/88.0 h, read off a meter of its own/)).toBeDefined();
    expect(screen.getByRole('button', { name: 'Enter hours' })).toBeDefined();
    expect(screen.queryByRole('button', { name: 'Take off Loader' })).toBeNull();
  });
});
