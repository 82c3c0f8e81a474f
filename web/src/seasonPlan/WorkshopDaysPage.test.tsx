import { screen, waitFor } from '@testing-library/react';
import { press, type } from '../testing/user.js';
import { showTo, wire } from '../testing/wire.js';
import { WorkshopDaysPage } from './WorkshopDaysPage.js';

const CLOSED = { minutes: 0, bays: 0 };
const DAYS = {
  week: Array.from({ length: 7 }, () => CLOSED),
  exceptions: [{ on: '2027-05-11', minutes: 0, bays: 0, note: 'Holiday' }],
  version: 4,
};

it('says when the workshop is open, every week and on single days', async () => {
  const { sent } = wire({ '/api/workshop-days': DAYS }, () => ({ ...DAYS, version: 5 }));
  showTo('crewLead', <WorkshopDaysPage />);
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
      version: 4,
    },
  });
});

it('says at its field what is wrong, and sends nothing', async () => {
  const { sent } = wire({ '/api/workshop-days': DAYS });
  showTo('crewLead', <WorkshopDaysPage />);
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
