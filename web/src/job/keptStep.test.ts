import type { UpdateStepDto } from '@yugator/contracts';
import type { Entry } from '../outbox/entry.js';
import { job } from '../testing/jobs.js';
import { stepOfEntry, stepPath, untouched, withWaiting } from './keptStep.js';

const KEY = 'access.hood/left.open';
const entry = (body: Partial<UpdateStepDto>, over: Partial<Entry> = {}): Entry => ({
  key: 'k',
  place: 1,
  personId: 'ansel',
  at: Date.UTC(2027, 4, 13, 8),
  method: 'PUT',
  path: stepPath('j', KEY),
  body,
  typed: { title: '', lines: [] },
  subjects: [],
  refused: null,
  ...over,
});

describe('a job with what waits to be sent', () => {
  it('shows ticks and figures in the order of typing, on the version that the server knows', () => {
    const shown = withWaiting(
      { ...job(), steps: [{ ...untouched(KEY), by: 'Marit', version: 4 }] },
      [
        entry({ isAcknowledged: true, version: 4 }),
        entry({ isDone: true, timer: 'start' }),
        entry({ found: { litres: 1 } }),
      ],
      'Ansel',
    );
    expect(shown.steps).toEqual([
      {
        ...untouched(KEY),
        isDone: true,
        isAcknowledged: true,
        startedAt: '2027-05-13T08:00:00.000Z',
        found: { litres: 1 },
        by: 'Ansel',
        version: 4,
      },
    ]);
  });

  it('takes back a tick and a time, and a figure', () => {
    const before = {
      ...untouched(KEY),
      isDone: true,
      startedAt: '2027-05-13T07:00:00.000Z',
      found: { litres: 1 },
    };
    const shown = withWaiting(
      { ...job(), steps: [{ ...before, by: 'Marit', version: 1 }] },
      [entry({ isDone: false, timer: 'forget', found: null })],
      'Ansel',
    );
    expect(shown.steps[0]).toMatchObject({ isDone: false, startedAt: null, found: null });
  });

  it('is the job itself where nothing of it waits: not what was refused, nor what is of another job or no step', () => {
    const now = job();
    const others = [
      entry({ isDone: true }, { path: stepPath('other', KEY) }),
      entry({ isDone: true }, { path: '/round', method: 'POST' }),
      entry({ isDone: true }, { refused: { status: 409, detail: 'Signed off.' } }),
    ];
    expect(withWaiting(now, others, 'Ansel')).toBe(now);
    expect(others.map(stepOfEntry)).toEqual([{ jobId: 'other', key: KEY }, null, { jobId: 'j', key: KEY }]);
  });
});
