import type { ProblemDto, SessionDto } from '@yugator/contracts';
import type { Instant } from '@yugator/core';
import { PASSWORD } from '../testing/seedCrew.js';
import { testApp } from '../testing/testApp.js';
import type { TestApp } from '../testing/testApp.js';

let yard: TestApp;
beforeEach(async () => {
  yard = await testApp();
});
afterEach(() => yard.close());

describe('whoever guesses passwords', () => {
  const nobody = { as: undefined as never };
  const signIn = (name: string, password: string, cookie?: string) =>
    yard.ask<SessionDto & Omit<ProblemDto, 'status'>>('POST', '/api/session', {
      ...nobody,
      ...(cookie ? { cookie } : {}),
      body: { name, password },
    });
  const later = (seconds: number) => yard.clock.set((yard.clock.now() + seconds * 1000) as Instant);

  it.each(['mechanic', 'MECHANIC', 'mechánic', 'ｍｅｃｈａｎｉｃ', ' mechanic '])(
    'gains nothing by spelling the name %s',
    async (spelled) => {
      for (let time = 0; time < 5; time += 1) await signIn('mechanic', 'wrong');
      const { status, body, headers } = await signIn(spelled, 'wrong');
      expect([status, body.title]).toEqual([429, 'Too many attempts']);
      expect(Number(headers['retry-after'])).toBeGreaterThan(0);
    },
  );

  it('waits longer and longer, and fails at most a hundred times an hour', async () => {
    let failures = 0;
    const end = yard.clock.now() + 3_600_000;
    while (yard.clock.now() < end) {
      const { status } = await signIn('mechanic', 'wrong');
      if (status === 401) failures += 1;
      else later(5);
    }
    expect(failures).toBeGreaterThan(10);
    expect(failures).toBeLessThanOrEqual(100);
  });

  it('does not keep the person out on a device that they signed in on before', async () => {
    const { headers } = await signIn('crewLead', PASSWORD);
    const device = [headers['set-cookie']]
      .flat()
      .map(String)
      .find((cookie) => cookie.startsWith('yugator_device'));
    for (let time = 0; time < 40; time += 1) await signIn('crewLead', 'wrong');
    expect((await signIn('crewLead', PASSWORD)).status).toBe(429);
    expect((await signIn('crewLead', PASSWORD, device?.split(';')[0])).status).toBe(201);
    const forged = device?.split(';')[0]?.replace(/~.*/, '~AAAA');
    expect((await signIn('crewLead', PASSWORD, forged)).status).toBe(429);
  });

  it('is slowed by the address, whatever names are tried', async () => {
    const answers: number[] = [];
    for (let name = 0; name < 60; name += 1) answers.push((await signIn(`nobody ${name}`, 'wrong')).status);
    expect(answers.filter((status) => status === 429).length).toBeGreaterThan(30);
  });

  it('does not have what succeeded counted', async () => {
    for (let time = 0; time < 12; time += 1) expect((await signIn('operator', PASSWORD)).status).toBe(201);
  });

  it('a hundred and twenty at once holds nobody else up', async () => {
    const crowd = Array.from({ length: 120 }, (_, index) => signIn(`nobody ${index}`, 'wrong'));
    const began = performance.now();
    expect((await yard.ask('GET', '/api/session')).status).toBe(200);
    expect(performance.now() - began).toBeLessThan(2_000);
    const statuses = (await Promise.all(crowd)).map(({ status }) => status);
    expect(statuses.filter((status) => status >= 500 && status !== 503)).toEqual([]);
  });
});
