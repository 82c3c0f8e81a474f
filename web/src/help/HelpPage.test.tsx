import { render, screen } from '@testing-library/react';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { MemoryRouter, Route, Routes } from 'react-router';
import { calendarLimit, dueLine, hoursLimit } from '../testing/fixtures.js';
import { HelpPage } from './HelpPage.js';
import { whyAnchor } from './whyAnchor.js';

function open(path: string) {
  render(
    <MemoryRouter initialEntries={[path]}>
      <Routes>
        <Route path="/help/:page" element={<HelpPage />} />
      </Routes>
    </MemoryRouter>,
  );
}

describe('a page of explanation', () => {
  it('has its headings with names to go to, and links to the other pages alone', () => {
    open('/help/schedule');
    expect(screen.getByRole('heading', { name: 'Some words' })).toBeDefined();
    expect(screen.getByRole('heading', { name: 'A heading' }).id).toBe('a-heading');
    expect(screen.getByRole('link', { name: 'more' }).getAttribute('href')).toBe('/help/forecast');
    expect(screen.queryByRole('link', { name: 'elsewhere' })).toBeNull();
  });

  it('that is not there says so', () => {
    open('/help/nothing');
    expect(screen.getByRole('heading', { name: 'There is no such page' })).toBeDefined();
  });
});

describe('the way from a due line to its rule', () => {
  const text = readFileSync(join(__dirname, '../../../docs/schedule.md'), 'utf8');
  const headings = [...text.matchAll(/^## (.*)$/gm)].map(([, words = '']) =>
    words
      .toLowerCase()
      .replace(/[^a-z -]/g, '')
      .replaceAll(' ', '-'),
  );
  const rules = [
    { kind: 'firstHours', hours: 8, meter: 'engine' },
    { kind: 'firstCalendar', count: 1, unit: 'month', inUse: null },
    { kind: 'seasonEdge', season: null, edge: 'first', offsetDays: 0 },
    { kind: 'everyNth', n: 2, itemId: 'x', everyTimeAboveHours: null },
    { kind: 'storage', days: 30 },
    { kind: 'kept' },
    { kind: 'deferred' },
  ] as const;

  it('leads to a heading that is there, for every rule', () => {
    const lines = [
      dueLine(),
      dueLine({ limits: [calendarLimit()] }),
      ...rules.map((rule) => dueLine({ limits: [hoursLimit({ rule })] })),
      dueLine({ limits: [] }),
      dueLine({ state: 'resting' }),
    ];
    const anchors = new Set(lines.map(whyAnchor));
    expect(anchors.size).toBeGreaterThan(8);
    for (const anchor of anchors) expect(headings).toContain(anchor.replace('/help/schedule#', ''));
  });
});
