import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { machineDetail } from '../testing/machines.js';
import { mechanicFixture, workshopDaysFixture } from '../testing/plan.js';
import { choose, press, type } from '../testing/user.js';
import { showTo, wire } from '../testing/wire.js';
import { WorkshopDaysPage } from './WorkshopDaysPage.js';

const TODAY = '2027-05-13';
const MACHINE = machineDetail({ id: '00000000-0000-7000-8000-000000000001' });
const DAYS = workshopDaysFixture({
  exceptions: [{ on: '2027-05-18', minutes: 0, bays: 0, note: 'Holiday' }],
});
const ANSEL = mechanicFixture(1, 'Ansel Pike');
const MARIT = mechanicFixture(2, 'Marit Osgood');
const show = (answers: object = DAYS, onWrite?: () => object) => {
  const { sent } = wire(
    { '/api/workshop-days': answers, '/api/machines': [MACHINE], '/api/people': [ANSEL, MARIT] },
    onWrite,
  );
  showTo('crewLead', <WorkshopDaysPage />);
  return sent;
};

it('says when the workshop is open, every week and on single days', async () => {
  const sent = show(DAYS, () => ({ ...DAYS, version: 5 }));
  await screen.findByLabelText('Minutes of all hands on Tuesday');
  await type('Minutes of all hands on Tuesday', '480');
  await type('Machines that find room on Tuesday', '3');
  await press('Save the days');
  await waitFor(() => expect(sent).toHaveLength(1));
  expect(sent[0]).toEqual({
    method: 'PUT',
    path: '/api/workshop-days',
    body: {
      week: DAYS.week.map((day, at) => (at === 1 ? { minutes: 480, bays: 3 } : day)),
      exceptions: DAYS.exceptions,
      hands: [],
      absences: [],
      needed: [],
      readyDays: 3,
      layUpDays: 21,
      version: 4,
    },
  });
});

it('says at its field what is wrong, and sends nothing', async () => {
  const sent = show();
  await screen.findByLabelText('Minutes of all hands on Monday');
  await type('Minutes of all hands on Monday', 'much');
  await press('Save the days');
  expect(await screen.findByText(/Give the minutes of all hands together/)).toBeVisible();
  expect(sent).toEqual([]);
});

it('is said by the crew lead', async () => {
  wire({ '/api/workshop-days': DAYS });
  showTo('mechanic', <WorkshopDaysPage />);
  expect(await screen.findByText('The crew lead says when the workshop is open.')).toBeVisible();
});

it('says when machines are needed, of one or of all, and by when they are ready', async () => {
  const sent = show(DAYS, () => ({ ...DAYS, version: 5 }));
  await screen.findByText('Days on which one is needed');
  await press('Days on which one is needed');
  await choose('Machine', `${MACHINE.tag} ${MACHINE.name}`);
  await type('What for', 'Village fair');
  await press('Days on which one is needed');
  await type('Ready so many days before its season', '10');
  await press('Save the days');
  await waitFor(() => expect(sent).toHaveLength(1));
  const on = { from: TODAY, until: TODAY };
  expect(sent[0]?.body).toMatchObject({
    readyDays: 10,
    needed: [
      { machineId: MACHINE.id, note: 'Village fair', ...on },
      { machineId: null, note: '', ...on },
    ],
  });
});

it('says who works there, how long on which day, and when they are away', async () => {
  const sent = show(DAYS, () => ({ ...DAYS, version: 5 }));
  await screen.findByRole('button', { name: 'Somebody works here' });
  await press('Somebody works here');
  await type('Minutes of person 1 on Tuesday', '300');
  await press('Somebody works here');
  await type('Minutes of person 2 on Tuesday', '120');
  // The day has the minutes of both; nobody types them twice.
  expect(screen.getByText('420')).toBeVisible();
  expect(screen.queryByLabelText('Minutes of all hands on Tuesday')).toBeNull();
  expect(screen.queryByText('Somebody works here')).toBeNull();
  await press('Somebody is away');
  await press('Save the days');
  await waitFor(() => expect(sent).toHaveLength(1));
  const week = (minutes: number) =>
    Array.from({ length: 7 }, (_, at) => ({ minutes: at === 1 ? minutes : 0 }));
  expect(sent[0]?.body).toMatchObject({
    hands: [
      { personId: ANSEL.id, week: week(300) },
      { personId: MARIT.id, week: week(120) },
    ],
    absences: [{ personId: ANSEL.id, from: TODAY, until: TODAY, note: '' }],
  });
});

describe('holidays out of a calendar file', () => {
  const read = async (text: string) => {
    await screen.findByText('Read holidays from a calendar');
    const file = new File([text], 'holidays.ics', { type: 'text/calendar' });
    Object.assign(file, { arrayBuffer: () => Promise.resolve(new TextEncoder().encode(text).buffer) });
    await userEvent.upload(screen.getByLabelText('Holidays as iCalendar'), file);
  };

  it('are closed days that are looked over before they are saved', async () => {
    const sent = show(DAYS, () => ({ ...DAYS, version: 5 }));
    const event = (day: string, summary: string) =>
      `BEGIN:VEVENT\r\nUID:${day}\r\nDTSTART;VALUE=DATE:${day}\r\nSUMMARY:${summary}\r\nEND:VEVENT\r\n`;
    const days = event('20270531', 'Spring holiday') + event('20270518', 'Known');
    await read(`BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:x\r\n${days}END:VCALENDAR\r\n`);
    expect(await screen.findByRole('status')).toHaveTextContent(
      '1 day of holidays.ics put down as closed. 1 day stood there already.',
    );
    expect(sent).toEqual([]);
    await press('Save the days');
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]?.body).toMatchObject({
      exceptions: [DAYS.exceptions[0], { on: '2027-05-31', minutes: 0, bays: 0, note: 'Spring holiday' }],
    });
  });

  it('are not read of what is no calendar, and what stood there stays', async () => {
    show();
    await read('on,what');
    expect(await screen.findByText(/This is not a calendar file/)).toBeVisible();
    expect(screen.getAllByLabelText('Why')).toHaveLength(1);
  });
});
