import { fireEvent, screen, waitFor } from '@testing-library/react';
import type { JobDto } from '@yugator/contracts';
import { dueLine, hoursLimit } from '../testing/fixtures.js';
import { item, job } from '../testing/jobs.js';
import { record } from '../testing/records.js';
import { showTo, wire } from '../testing/wire.js';
import { JobDone } from './JobDone.js';

const next = dueLine({ state: 'fine', limits: [hoursLimit({ at: 462.6, left: 50, overdue: false })] });
const done = (over: Partial<JobDto> = {}): JobDto =>
  job({ state: 'signedOff', items: [{ ...item('oil', 'done'), due: next }, item('air')], ...over });
const PRINTED = { title: 'M-07 Engine oil', lines: ['412.6 h', '10W-30'], at: '2027-05-12T10:00:00Z' };

describe('a job that is signed off', () => {
  it('says when each item is due next, and puts the reader there', () => {
    wire({ '/api/label-printer': [] });
    showTo('mechanic', <JobDone job={done()} record={record()} />);
    expect(screen.getByText(/next at 462.6 h \(in 50.0 h/)).toBeDefined();
    // The air filter was not touched: it is due as before.
    expect(screen.queryByText('Air filter: look at')).toBeNull();
    expect(document.activeElement?.textContent).toBe('Next due');
  });

  it('offers labels for the oil, on the printer and on a sheet begun already', async () => {
    const { sent } = wire({ '/api/label-printer': [PRINTED] });
    showTo('mechanic', <JobDone job={done()} record={record()} />);
    fireEvent.click(screen.getByRole('button', { name: 'Print on the label printer' }));
    await waitFor(() => expect(sent).toMatchObject([{ path: '/api/jobs/j/labels/print' }]));
    expect(await screen.findByText('10W-30')).toBeDefined();
    fireEvent.change(screen.getByLabelText('First free label'), { target: { value: '4' } });
    expect(screen.getByRole('link', { name: /^A4/ }).getAttribute('href')).toBe(
      '/api/jobs/j/labels.pdf?paper=a4&from=4',
    );
    // A sheet of A4 has 24 labels, one of Letter 30.
    fireEvent.change(screen.getByLabelText('First free label'), { target: { value: '25' } });
    expect(screen.queryByRole('link', { name: /^A4/ })).toBeNull();
    expect(screen.getByRole('link', { name: /^Letter/ })).toBeDefined();
    fireEvent.change(screen.getByLabelText('First free label'), { target: { value: '31' } });
    expect(screen.getByText('From 1, to 24 on A4 and to 30 on Letter.')).toBeDefined();
    expect(screen.queryByRole('link', { name: /^Letter/ })).toBeNull();
  });

  it('offers none where neither oil nor filter was changed', () => {
    wire({ '/api/label-printer': [] });
    showTo('mechanic', <JobDone job={done({ items: [item('air', 'done')] })} record={record()} />);
    expect(screen.queryByText('Labels for the filter and the fill cap')).toBeNull();
  });

  it('says of a void record why, and promises no next service from it', () => {
    wire({ '/api/label-printer': [] });
    const voided = { at: '2027-05-13T10:00:00Z', by: 'Marit', reason: 'Wrong machine' };
    showTo('crewLead', <JobDone job={done({ state: 'voided' })} record={record({ voided })} />);
    expect(screen.getByText('Wrong machine (Marit)')).toBeDefined();
    expect(screen.queryByText('Next due')).toBeNull();
  });
});
