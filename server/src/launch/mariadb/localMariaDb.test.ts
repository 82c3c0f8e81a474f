import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { QueryTypes } from 'sequelize';
import { connect } from '../../database/connect.js';
import { stopLeftover } from './leftover.js';
import { startLocalMariaDb } from './localMariaDb.js';
import type { LocalMariaDb } from './localMariaDb.js';
import { socketIn } from './socketPath.js';

jest.setTimeout(120_000);
const isRoot = process.getuid?.() === 0;

let folder: string;
let database: LocalMariaDb;
const said: string[] = [];
beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'yugator-mariadb-'));
  database = await startLocalMariaDb(join(folder, 'mariadb'), { say: (line) => said.push(line) });
});
afterAll(async () => {
  await database.stop();
  rmSync(folder, { recursive: true, force: true });
});

const pid = () => Number(readFileSync(join(folder, 'mariadb', 'db.pid'), 'utf8'));

async function ask<T extends object>(sql: string): Promise<T[]> {
  const sequelize = connect(database.url);
  try {
    return await sequelize.query<T>(sql, { type: QueryTypes.SELECT });
  } finally {
    await sequelize.close();
  }
}

describe('our own MariaDB', () => {
  it('listens on a Unix socket and on no port', () => {
    const inodes = readFileSync(`/proc/${pid()}/net/tcp`, 'utf8');
    const listening = inodes.split('\n').filter((line) => / 0A /.test(line));
    const own = spawnSync('ls', ['-l', `/proc/${pid()}/fd`], { encoding: 'utf8' }).stdout;
    const ports = listening.filter((line) => own.includes(`socket:[${line.trim().split(/\s+/)[9]}]`));
    expect(ports).toEqual([]);
    expect(existsSync(join(folder, 'mariadb', 'db.sock'))).toBe(true);
  });

  it('gives its account everything in its own schema, and no file of the machine', async () => {
    const grants = (await ask<Record<string, string>>('SHOW GRANTS')).flatMap((row) => Object.values(row));
    expect(grants.filter((grant) => !grant.includes('USAGE ON *.*'))).toEqual([
      expect.stringContaining('ALL PRIVILEGES ON `yugator`.*'),
    ]);
    const [read] = await ask<{ text: unknown }>("SELECT LOAD_FILE('/etc/passwd') AS text");
    expect(read?.text).toBeNull();
    await expect(ask('SELECT * FROM mysql.user')).rejects.toThrow(/denied/);
    await expect(ask("SELECT 1 INTO OUTFILE '/tmp/yugator-out'")).rejects.toThrow(/denied/);
  });

  it('keeps its files to its owner, and runs as no root', () => {
    for (const name of ['password', 'init.sql'])
      expect(statSync(join(folder, 'mariadb', name)).mode & 0o777).toBe(0o600);
    expect(statSync(join(folder, 'mariadb')).mode & 0o777).toBe(0o700);
    const uid = /^Uid:\s+(\d+)/m.exec(readFileSync(`/proc/${pid()}/status`, 'utf8'))?.[1];
    expect(uid === '0').toBe(false);
    if (!isRoot) expect(Number(uid)).toBe(process.getuid?.());
  });

  it('is started again when it ends by itself, and takes connections as before', async () => {
    const before = pid();
    process.kill(before, 'SIGKILL');
    for (let time = 0; time < 200; time += 1) {
      await wait(100);
      const answered = await ask('SELECT 1 AS one').catch(() => null);
      if (answered && pid() !== before) break;
    }
    expect(pid()).not.toBe(before);
    expect(await ask('SELECT 1 AS one')).toEqual([{ one: 1 }]);
    expect(said.join(' ')).toContain('Starting it again');
  });
});

describe('a database that a killed Yugator left', () => {
  it('is stopped only where it works on the same data', async () => {
    const sleep = spawn('/bin/sleep', ['60']);
    const file = join(folder, 'other.pid');
    writeFileSync(file, String(sleep.pid));
    await stopLeftover(file, '/bin/sleep', '/some/data');
    await stopLeftover(file, '/usr/bin/sleep', '/some/data');
    expect(sleep.exitCode ?? sleep.signalCode).toBeNull();
    writeFileSync(file, String(pid()));
    await stopLeftover(file, '/usr/sbin/mariadbd', '/of/somebody/else');
    expect(existsSync(`/proc/${pid()}`)).toBe(true);
    sleep.kill();
  });
});

describe('the socket', () => {
  it('lies in a short folder of its own where the name of the data folder is too long', () => {
    const long = socketIn(join(folder, 'x'.repeat(120)), null);
    expect(long.path.length).toBeLessThan(107);
    long.remove();
    expect(existsSync(long.path.replace('/db.sock', ''))).toBe(false);
    expect(socketIn('/short', null).path).toBe('/short/db.sock');
  });
});
