import { setFlagsFromString } from 'node:v8';
import { runInNewContext } from 'node:vm';
import type { OpenAPIObject } from '@nestjs/swagger';
import type { ProblemDto } from '@yugator/contracts';
import { ROLES } from '@yugator/contracts';
import { random } from '../demo/random.js';
import { SECURITY_HEADERS } from '../gate/securityHeaders.js';
import { Person } from '../models/person.model.js';
import { Site } from '../models/site.model.js';
import { jobActs } from '../testing/jobActs.js';
import { fuzzInputs } from '../testing/fuzz/inputs.js';
import type { FuzzInput } from '../testing/fuzz/inputs.js';
import { testApp } from '../testing/testApp.js';
import type { TestApp } from '../testing/testApp.js';

/** `npm run fuzz -- --inputs 50000 --seed 7` sends more of them. */
const INPUTS = Number(process.env['FUZZ_INPUTS'] ?? 5_000);
const SEED = Number(process.env['FUZZ_SEED'] ?? 20_270_513);
const MS_EACH = 60;
jest.setTimeout(60_000 + INPUTS * MS_EACH);

const LIBRARY_WORDS =
  /must be|each value in|nested property|FST_|Cannot [A-Z]|Unexpected token|should not exist|SQL|errno/;
const MOST_GROWTH_BYTES = 150 * 1024 * 1024;

let yard: TestApp;
beforeAll(async () => {
  yard = await testApp();
});
afterAll(() => yard.close());

function bytesInUse(): number {
  setFlagsFromString('--expose-gc');
  (runInNewContext('gc') as () => void)();
  const { heapUsed, external } = process.memoryUsage();
  return heapUsed + external;
}

/** Ids of everything that is there, so that inputs reach what stands behind the checks. */
async function idsOf(): Promise<string[]> {
  const { crew } = yard;
  const jobs = jobActs(() => yard);
  const job = await jobs.ready();
  return [
    ...[crew.machine, crew.otherMachine, crew.oil, crew.grease, crew.kit, crew.book, job.id],
    ...Object.values(crew.people),
    '00000000-0000-7000-8000-00000000dead',
  ];
}

/** What hostile inputs may have done to who may sign in is put right, so that the next ones get in. */
async function letInAgain(): Promise<void> {
  for (const role of ROLES)
    await Person.update({ role, active: true }, { where: { id: yard.crew.people[role] } });
  await yard.renewTokens();
}

async function send({ method, url, as, contentType, payload, idempotencyKey }: FuzzInput) {
  const headers: Record<string, string> = {};
  if (as) headers['cookie'] = `yugator_session=${yard.crew.tokens[as]}`;
  if (payload !== undefined) headers['content-type'] = contentType;
  if (idempotencyKey) headers['idempotency-key'] = idempotencyKey;
  return yard.app.inject({ method, url, headers, ...(payload === undefined ? {} : { payload }) });
}

/** What is wrong with an answer; nothing where it is as promised. */
function complaints(answer: Awaited<ReturnType<typeof send>>): string[] {
  const { statusCode: status, headers, body } = answer;
  const missing = Object.keys(SECURITY_HEADERS).filter((name) => headers[name] === undefined);
  const found = missing.map((name) => `no ${name}`);
  if (status >= 500) found.push(`status ${status}`);
  if (status < 400) return found;
  if (!String(headers['content-type']).startsWith('application/problem+json'))
    return [...found, 'no problem document'];
  const problem = JSON.parse(body) as ProblemDto;
  if (LIBRARY_WORDS.test(body)) found.push('words of a library');
  if (!/^[A-Z].*\.$/s.test(problem.detail)) found.push('no sentence');
  const faults = problem.errors ?? [];
  if (faults.length > 20) found.push(`${faults.length} faults`);
  if (faults.some(({ pointer }) => !pointer.startsWith('#'))) found.push('no pointer');
  if (status === 422 && faults.length === 0 && problem.title !== 'Idempotency-Key used before')
    found.push('422 names no field');
  return found;
}

describe(`${INPUTS} hostile inputs`, () => {
  it('bring about no error, only what was asked for or a refusal that names the field', async () => {
    const { body: document } = await yard.ask<OpenAPIObject>('GET', '/api/openapi.json');
    const known = { ids: await idsOf(), days: ['2027-05-13', '2027-05-01', '2026-06-01', '2027-10-24'] };
    const inputs = fuzzInputs(document, known, random(SEED));
    const before = bytesInUse();
    const wrong: string[] = [];
    const statuses = new Map<number, number>();
    for (let index = 0; index < INPUTS && wrong.length < 20; index += 1) {
      if (index % 100 === 0) await letInAgain();
      const input = inputs.next().value as FuzzInput;
      const answer = await send(input);
      statuses.set(answer.statusCode, (statuses.get(answer.statusCode) ?? 0) + 1);
      const found = complaints(answer);
      if (found.length)
        wrong.push(
          `${found.join(', ')}: ${input.method} ${input.url} ${input.payload?.slice(0, 600)} -> ${answer.body.slice(0, 300)}`,
        );
    }
    expect(wrong).toEqual([]);
    // Inputs that all stop at the door would prove nothing.
    expect((statuses.get(200) ?? 0) + (statuses.get(201) ?? 0)).toBeGreaterThan(INPUTS / 20);
    expect(statuses.get(422) ?? 0).toBeGreaterThan(INPUTS / 10);
    expect(bytesInUse() - before).toBeLessThan(MOST_GROWTH_BYTES);
  });

  it('leave every list and every paper as readable as before', async () => {
    await letInAgain();
    expect(await Site.count()).toBe(1);
    const { body: document } = await yard.ask<OpenAPIObject>('GET', '/api/openapi.json');
    const lists = Object.entries(document.paths)
      .filter(([path, methods]) => 'get' in methods && !path.includes('{') && path !== '/api/live')
      .map(([path]) => path);
    const { machine } = yard.crew;
    const ofMachine = [
      '',
      '/readings',
      '/defects',
      '/visit',
      '/milestones',
      '/use',
      '/evidence',
      '/record.pdf',
    ];
    const paths = [...lists, ...ofMachine.map((part) => `/api/machines/${machine}${part}`)];
    expect(paths.length).toBeGreaterThan(25);
    for (const path of paths) expect([path, (await yard.ask('GET', path)).status]).toEqual([path, 200]);
  });
});
