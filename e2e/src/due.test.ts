import { execFileSync, spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Ajv2020 as Ajv } from 'ajv/dist/2020.js';
import addFormatsModule from 'ajv-formats';

const addFormats = addFormatsModule as unknown as typeof addFormatsModule.default;
const ROOT = join(__dirname, '..', '..');

let folder: string;
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'yugator-due-'));
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const machine = {
  tag: 'M-07',
  name: 'Lakeside',
  machineClass: 'zeroTurn',
  make: '',
  model: '',
  fuel: 'gasoline',
  shed: 'North',
  walkOrder: 1,
  inServiceOn: '2026-04-01',
  inServiceHours: 0,
  cameNew: true,
  status: 'inService',
  books: ['Verrick'],
  seasons: [],
  attachments: [],
  overrides: [],
  segments: [],
  declared: [],
  readings: [
    { at: '2027-02-12T12:00:00Z', shown: 222.4 },
    { at: '2027-05-12T12:00:00Z', shown: 268.6 },
  ],
  done: [{ book: 'Verrick', item: 'Engine oil', on: '2027-04-20', life: 212.4 }],
};
const FILE = {
  format: 'yugator-fleet',
  version: 1,
  site: { timeZone: 'Europe/London', hoursGrid: 'sinceDone' },
  seasons: [],
  books: [
    {
      name: 'Verrick',
      machineClass: 'zeroTurn',
      meter: 'engine',
      items: [
        {
          name: 'Engine oil',
          action: 'replace',
          component: 'engine oil',
          renews: [],
          minutes: 30,
          reference: '',
          note: '',
          triggers: [{ kind: 'everyHours', hours: 50, meter: 'engine', grid: null }],
        },
      ],
    },
  ],
  machines: [machine],
};

function written(name: string, content: unknown): string {
  const path = join(folder, name);
  writeFileSync(path, typeof content === 'string' ? content : JSON.stringify(content));
  return path;
}

const run = (...args: string[]) =>
  spawnSync('node', ['scripts/due.mjs', ...args], { cwd: ROOT, encoding: 'utf8' });

describe('the door for scripts', () => {
  it('prints how every item stands, as its schema says', () => {
    const path = written('fleet.json', FILE);
    const text = execFileSync('npm', ['run', '-s', 'due', '--', path, '--today', '2027-05-13'], {
      cwd: ROOT,
      encoding: 'utf8',
    });
    const answer = JSON.parse(text) as { today: string; lines: object[] };
    // Done at 212.4 h, every 50 h: due at 262.4; the meter shows 268.6, so 6.2 h over. 46.2 h were run from 222.4 on in the 89 days
    // from 12 February: 262.4 was passed 40.0 h on, after 89 × 40 / 46.2 = 77.06 days, on 30 April.
    expect(answer).toMatchObject({
      today: '2027-05-13',
      lines: [
        {
          machine: 'M-07',
          item: 'Engine oil',
          state: 'overdue',
          dueHours: 262.4,
          left: -6.2,
          dueOn: '2027-04-30',
          deciding: { kind: 'everyHours', hours: 50 },
          baseline: { kind: 'completion', on: '2027-04-20' },
        },
      ],
    });
    const ajv = new Ajv({ allErrors: true, allowUnionTypes: true });
    addFormats(ajv);
    const check = ajv.compile(
      JSON.parse(readFileSync(join(ROOT, 'docs', 'due.schema.json'), 'utf8')) as object,
    );
    check(answer);
    expect(check.errors ?? []).toEqual([]);
  });

  it('names every fault of a file with its place, prints no answer, and fails', () => {
    const bad = {
      ...FILE,
      machines: [{ ...machine, inServiceOn: '2027-02-30', readings: [{ at: 'noon', shown: -1 }] }],
    };
    const { status, stdout, stderr } = run(written('bad.json', bad));
    expect([status, stdout]).toEqual([1, '']);
    for (const place of [
      '/machines/0/inServiceOn',
      '/machines/0/readings/0/at',
      '/machines/0/readings/0/shown',
    ]) {
      expect(stderr).toContain(place);
    }
  });

  it.each([
    ['no file', [], 'Usage:'],
    ['a file that is not there', ['/nowhere.json'], 'cannot be read'],
    ['a day that does not exist', ['x.json', '--today', '2027-02-30'], 'no day that exists'],
  ])('says what is wrong with %s', (_what, args, words) => {
    const { status, stderr } = run(...args);
    expect(status).toBe(1);
    expect(stderr).toContain(words);
  });

  it('says so of a file that is no JSON', () => {
    expect(run(written('text.json', 'hello')).stderr).toContain('is no JSON');
  });
});
