import { screen, waitFor } from '@testing-library/react';
import type { AuditEntryDto } from '@yugator/contracts';
import { typeDay } from '../testing/day.js';
import { showTo } from '../testing/wire.js';
import { AuditPage } from './AuditPage.js';
import { queryText } from './auditQueries.js';

const entry = (over: Partial<AuditEntryDto> = {}): AuditEntryDto => ({
  id: 'e',
  at: '2027-05-13T10:00:00Z',
  act: 'signInRefused',
  by: '',
  subject: 'Marit',
  address: '192.0.2.4',
  ...over,
});

let asked: string[];
beforeEach(() => {
  asked = [];
  globalThis.fetch = ((url: string) => {
    asked.push(url);
    const entries = url.includes('from=2027-05-14')
      ? []
      : [entry(), entry({ id: 'f', act: 'roleChanged', by: 'Ines' })];
    const body = url.startsWith('/api/people') ? [] : { entries, total: entries.length };
    const headers = new Map([['content-type', 'application/json']]);
    return Promise.resolve({ ok: true, status: 200, headers, json: () => Promise.resolve(body) });
  }) as unknown as typeof fetch;
});

describe('the audit list', () => {
  it('says in words what happened, by whom and from where', async () => {
    showTo('crewLead', <AuditPage />);
    expect(await screen.findByText('Sign-in refused')).toBeDefined();
    expect(screen.getByText('nobody signed in')).toBeDefined();
    expect(screen.getByText('Changed a role')).toBeDefined();
    expect(screen.getByText('2 entries')).toBeDefined();
  });

  it('is asked for by day, and says so where nothing matches', async () => {
    showTo('crewLead', <AuditPage />);
    await screen.findByText('2 entries');
    await typeDay('From the day', '2027-05-14');
    expect(await screen.findByText('Nothing in the list matches.')).toBeDefined();
    await waitFor(() => expect(asked.at(-1)).toBe('/api/audit?from=2027-05-14&page=1'));
  });

  it('tells others whose it is, and asks the server for nothing', async () => {
    showTo('viewer', <AuditPage />);
    expect(await screen.findByText('The audit list is for the crew lead.')).toBeDefined();
    expect(screen.queryByRole('button')).toBeNull();
    expect(asked).toEqual([]);
  });

  it('leaves out of the address what is not filtered', () => {
    expect(queryText({ page: 2 })).toBe('page=2');
    expect(queryText({ act: 'signedIn', from: '2027-05-01', page: 1 })).toBe(
      'act=signedIn&from=2027-05-01&page=1',
    );
  });
});
