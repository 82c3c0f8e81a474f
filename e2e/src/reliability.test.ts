import { execFileSync, spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { newCookie } from './session.js';
import { freePort, Yugator } from './yugator.js';

const ROOT = resolve(__dirname, '..', '..');

/** The process of its database; 0 while there is none that has said so. */
function databaseOf(data: string): number {
  try {
    return Number(readFileSync(join(data, 'mariadb', 'db.pid'), 'utf8'));
  } catch {
    return 0;
  }
}

async function until(isTrue: () => boolean | Promise<boolean>, patience = 120_000): Promise<boolean> {
  const end = Date.now() + patience;
  while (Date.now() < end) {
    if (await isTrue()) return true;
    await wait(100);
  }
  return false;
}

const health = (address: string) =>
  fetch(`${address}/api/health`).then(
    ({ status }) => status,
    () => 0,
  );

describe('a running Yugator', () => {
  it('goes on when its reader goes away, starts its database again, and stops in time though the database is silent', async () => {
    const data = mkdtempSync(join(tmpdir(), 'yugator-e2e-'));
    const address = `http://127.0.0.1:${await freePort()}`;
    const port = new URL(address).port;
    const child = spawn('bash', ['-c', `exec ./start --empty --data ${data} --port ${port} > >(head -2)`], {
      cwd: ROOT,
    });
    const ended = new Promise<number | null>((resolved) => child.once('exit', resolved));
    try {
      expect(await until(async () => (await health(address)) === 200)).toBe(true);
      const first = databaseOf(data);
      process.kill(first, 'SIGKILL');
      expect(await until(() => ![0, first].includes(databaseOf(data)))).toBe(true);
      expect(await until(async () => (await health(address)) === 200)).toBe(true);
      process.kill(databaseOf(data), 'SIGSTOP');
      expect(await health(address)).toBe(503);
      const asked = Date.now();
      child.kill('SIGTERM');
      await ended;
      expect(Date.now() - asked).toBeLessThan(15_000);
    } finally {
      child.kill('SIGKILL');
      rmSync(data, { recursive: true, force: true });
    }
  });

  it('that is killed leaves no database behind', async () => {
    const yugator = await Yugator.empty();
    await yugator.start();
    const database = databaseOf(yugator.data);
    await yugator.stop('SIGKILL');
    expect(await until(() => !existsSync(`/proc/${database}`), 60_000)).toBe(true);
    await yugator.remove();
  });
});

function mount(folder: string, size: string): boolean {
  const options = `size=${size},mode=755`;
  return spawnSync('mount', ['-t', 'tmpfs', '-o', options, 'tmpfs', folder]).status === 0;
}

/** Whether this user may mount a small disk, as root may in most places. */
function mayMount(): boolean {
  const folder = mkdtempSync(join(tmpdir(), 'yugator-mount-'));
  const is = mount(folder, '1m');
  if (is) execFileSync('umount', [folder]);
  rmSync(folder, { recursive: true });
  return is;
}

/** Where no disk can be mounted, the server's own tests stand for it (server/src/security/reliability.test.ts). */
const whereMounted = mayMount() ? describe : describe.skip;

whereMounted('a disk that fills up', () => {
  it('is said before the database breaks, everything is read on, and writing resumes by itself', async () => {
    const disk = mkdtempSync(join(tmpdir(), 'yugator-disk-'));
    expect(mount(disk, '480m')).toBe(true);
    const yugator = await Yugator.withDemonstration(join(disk, 'data'));
    try {
      await yugator.start();
      const json = { 'content-type': 'application/json' };
      const headers = { ...json, cookie: await newCookie(yugator.address, 'Marit Osgood') };
      const write = async () => {
        const body = JSON.stringify({ unitSystem: 'metric' });
        return (await fetch(`${yugator.address}/api/session/units`, { method: 'PUT', headers, body })).status;
      };
      expect(await write()).toBe(200);
      const free = Number(
        execFileSync('df', ['--output=avail', '-B1', disk]).toString().trim().split('\n')[1],
      );
      const filler = join(disk, 'filler');
      execFileSync('fallocate', ['-l', String(free - 20 * 1024 * 1024), filler]);
      expect(await until(async () => (await write()) === 507)).toBe(true);
      expect((await fetch(`${yugator.address}/api/today`, { headers })).status).toBe(200);
      rmSync(filler);
      expect(await until(async () => (await write()) === 200)).toBe(true);
    } finally {
      await yugator.stop();
      execFileSync('umount', [disk]);
      rmSync(disk, { recursive: true, force: true });
    }
  });
});
