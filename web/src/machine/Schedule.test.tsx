import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { fireEvent, render, screen, within } from '@testing-library/react';
import type { DueLineDto, MachineDetailDto, Role } from '@yugator/contracts';
import { MemoryRouter, Route, Routes } from 'react-router';
import { NoticeProvider } from '../page/Notice.js';
import { SessionContext } from '../session/useSession.js';
import { dueLine, hoursLimit, SITE } from '../testing/fixtures.js';
import { machineDetail } from '../testing/machines.js';
import { Schedule } from './Schedule.js';

const line = (itemId: string, state: DueLineDto['state'], left: number, minutes: number): DueLineDto =>
  dueLine({
    itemId,
    itemName: itemId,
    state,
    minutes,
    baseline: { kind: 'completion', on: '2027-04-12', life: 212.4 },
    limits: [hoursLimit({ left, expectedOn: null })],
  });
const battery: DueLineDto = {
  ...line('Battery', 'noRecord', 0, 10),
  baseline: { kind: 'noRecord', on: null, life: null },
  limits: [],
};
const machine = (over: Partial<MachineDetailDto> = {}): MachineDetailDto =>
  machineDetail({
    lines: [
      line('Grease', 'overdue', -6.2, 12),
      battery,
      line('Oil', 'ripe', 3, 30),
      line('Plugs', 'fine', 48, 15),
    ],
    ...over,
  });

function show(role: Role, shown = machine()) {
  const person = { id: 'p', name: 'Ansel', role, active: true, version: 1 };
  const site = SITE;
  render(
    <QueryClientProvider client={new QueryClient()}>
      <NoticeProvider>
        <SessionContext.Provider value={{ person, site, ownUnits: null, atShed: null, today: '2027-05-13' }}>
          <MemoryRouter>
            <Routes>
              <Route path="/" element={<Schedule machine={shown} />} />
            </Routes>
          </MemoryRouter>
        </SessionContext.Provider>
      </NoticeProvider>
    </QueryClientProvider>,
  );
}

describe('the schedule of a machine', () => {
  it('leads to the visit that is composed of it', () => {
    show('mechanic');
    const link = screen.getByRole('link', { name: 'Compose a visit' });
    expect(link.getAttribute('href')).toBe('/fleet/m/visit');
  });

  it('leads to the open job instead of a second one, however many machines Today lists', () => {
    show('mechanic', machine({ openJobId: 'j' }));
    const link = screen.getByRole('link', { name: 'Go on with the open job' });
    expect(link.getAttribute('href')).toBe('/jobs/j');
    expect(screen.queryByRole('checkbox')).toBeNull();
  });

  it('asks the crew lead, and only the crew lead, for what nobody has on record', () => {
    show('crewLead');
    expect(screen.getByRole('button', { name: 'Say when: Battery' })).toBeDefined();
  });

  it('lets an operator read it all and choose nothing', () => {
    show('operator');
    expect(screen.getAllByText('6.2 h over 50 h').length).toBeGreaterThan(0);
    expect(screen.getAllByText('never recorded').length).toBeGreaterThan(0);
    expect(screen.queryByRole('checkbox')).toBeNull();
    expect(screen.queryByRole('button', { name: /job|Say when/ })).toBeNull();
  });

  it('asks for the hours of a loader that nobody told about, not for when it was last done', () => {
    const trigger = { kind: 'everyHours', hours: 10, meter: 'loader', grid: null } as const;
    const pins = {
      ...line('Pins', 'noRecord', 0, 12),
      limits: [],
      unresolved: [{ code: 'noMeter', trigger }],
    };
    show('crewLead', machine({ lines: [pins as DueLineDto] }));
    expect(screen.getAllByText('needs its loader’s hours').length).toBeGreaterThan(0);
    expect(screen.getByText(/every 10 loader h: give the share or the meter .* under Details/)).toBeDefined();
    expect(screen.queryByText('never recorded')).toBeNull();
    const [tape] = screen.getAllByRole('list');
    expect(tape && within(tape).queryByRole('button', { name: /Say when/ })).toBeNull();
  });

  it('tells of a line that rests that it does, and where the rule is explained', () => {
    show('operator', machine({ lines: [line('Grease', 'resting', -3, 12)] }));
    fireEvent.click(screen.getByRole('button', { name: /^Grease:/ }));
    const why = within(screen.getByRole('dialog', { name: 'Why: Grease' }));
    expect(why.getByText('rests as long as the machine does not work')).toBeDefined();
    expect(why.getByRole('link', { name: 'How this is reckoned' }).getAttribute('href')).toBe(
      '/help/schedule#a-machine-at-rest',
    );
  });

  it('tells why at the flag of each lane, and once more as a table', () => {
    show('operator');
    fireEvent.click(screen.getByRole('button', { name: /^Grease: 6.2 h over 50 h, last done/ }));
    const why = screen.getByRole('dialog', { name: 'Why: Grease' });
    expect(why.textContent).toContain('112 % of the interval is used up');
    fireEvent.click(screen.getByText(/The same as a table/));
    expect(screen.getByRole('columnheader', { name: 'Counts from', hidden: true })).toBeDefined();
    expect(screen.getAllByText('last done 12 Apr at 212.4 h').length).toBeGreaterThan(1);
  });

  it('says where to choose a book when the machine follows none', () => {
    show('crewLead', machine({ lines: [] }));
    expect(screen.getByRole('link').getAttribute('href')).toBe('/fleet/m/details');
  });
});
