import type { AuditPageDto, CrewSessionDto } from '@yugator/contracts';
import { NOBODY } from '../testing/pictures.js';
import { yardOfFile } from '../testing/testApp.js';

const yard = yardOfFile();

const list = async () => (await yard.ask<CrewSessionDto[]>('GET', '/api/sessions')).body;

describe('the sessions of the crew', () => {
  it('are seen by the crew lead alone, each with whose and where it is', async () => {
    const sessions = await list();
    expect(sessions.map(({ person }) => person).sort()).toEqual([
      'crewLead',
      'mechanic',
      'operator',
      'viewer',
    ]);
    expect(sessions.filter(({ isThis }) => isThis)).toMatchObject([{ person: 'crewLead' }]);
    expect(JSON.stringify(sessions)).not.toContain('tokenHash');
    expect((await yard.ask('GET', '/api/sessions', { as: 'mechanic' })).status).toBe(403);
  });

  it('are ended by the crew lead: the device is out at once, and the audit list says who did it', async () => {
    const [own] = (await list()).filter(({ person }) => person === 'operator');
    const path = `/api/sessions/${own?.id}`;
    expect((await yard.ask('DELETE', path, { as: 'mechanic' })).status).toBe(403);
    expect((await yard.ask('DELETE', path)).status).toBe(204);
    expect((await yard.ask('GET', '/api/today', { as: 'operator' })).status).toBe(401);
    expect((await yard.ask('DELETE', path)).status).toBe(404);
    expect((await yard.ask('DELETE', `/api/sessions/${NOBODY}`)).status).toBe(404);
    const { body } = await yard.ask<AuditPageDto>('GET', '/api/audit?act=sessionEnded');
    expect(body.entries).toMatchObject([{ by: 'crewLead', subject: 'operator, A program' }]);
    await yard.renewTokens();
  });
});
