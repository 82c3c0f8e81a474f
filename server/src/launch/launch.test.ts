import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { prepareDataFolder } from './dataFolder.js';
import { takeDataFolder } from './dataLock.js';
import { startOptions } from './options.js';
import { freePort, requireFreePort } from './ports.js';
import { StartError } from './startError.js';

let folder: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'yugator-launch-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

describe('the options of ./start', () => {
  const parse = (...args: string[]) => startOptions(args, {}, '/yard');

  it('have the defaults of the usage text', () => {
    expect(parse()).toEqual({
      help: false,
      empty: false,
      resetDemo: false,
      yes: false,
      demoOn: null,
      port: 8420,
      data: '/yard/.yugator',
      databaseUrl: null,
      hosts: [],
      trustedProxies: [],
      lan: null,
    });
  });

  it('are taken as given', () => {
    expect(parse('--empty', '--port', '9000', '--data', 'here')).toMatchObject({
      empty: true,
      port: 9000,
      data: '/yard/here',
    });
    expect(parse('--demo-on', '2027-11-08').demoOn).toBe('2027-11-08');
    expect(startOptions([], { DATABASE_URL: 'mariadb://x' }, '/').databaseUrl).toBe('mariadb://x');
    expect(
      startOptions([], { PUBLIC_HOSTS: 'yard.example, 10.0.0.7', TRUST_PROXY: '127.0.0.1' }, '/'),
    ).toMatchObject({
      hosts: ['yard.example', '10.0.0.7'],
      trustedProxies: ['127.0.0.1'],
    });
  });

  it('serve the network with or without a name, and with a certificate of the crew’s own', () => {
    expect(parse('--lan').lan).toEqual({ name: null, own: null });
    expect(parse('--lan', 'yard.local', '--port', '9000')).toMatchObject({
      port: 9000,
      lan: { name: 'yard.local', own: null },
    });
    expect(parse('--lan', '--empty')).toMatchObject({ empty: true, lan: { name: null } });
    const [cert, key] = [join(folder, 'a.pem'), join(folder, 'a.key')];
    for (const file of [cert, key]) writeFileSync(file, '');
    expect(parse('--lan', '--cert', cert, '--key', key).lan?.own).toEqual({ certificate: cert, key });
    expect(() => parse('--lan', '--cert', cert)).toThrow('belong together');
    expect(() => parse('--cert', cert, '--key', key)).toThrow('go with --lan');
    expect(() => parse('--lan', '--cert', cert, '--key', join(folder, 'none'))).toThrow('no such file');
    expect(() => parse('--lan', 'yard/..')).toThrow('no name of a machine');
  });

  it.each([
    [['--port', 'http']],
    [['--port', '70000']],
    [['--prot', '1']],
    [['--empty', '--reset-demo']],
    [['--empty', '--demo-on', '2027-11-08']],
    [['--demo-on', '8 November']],
    [['stray']],
  ])('refuse %j in a sentence', (args) => {
    expect(() => parse(...args)).toThrow(StartError);
  });
});

describe('the data folder', () => {
  it('is held by one process at a time, and free again afterwards', () => {
    const giveBack = takeDataFolder(folder, 'http://127.0.0.1:8420');
    expect(() => takeDataFolder(folder, 'http://127.0.0.1:8421')).toThrow(
      /already runs .* at http:\/\/127.0.0.1:8420/,
    );
    giveBack();
    takeDataFolder(folder, 'http://127.0.0.1:8421')();
  });

  it('is not held by a process that died, even if its number was given out again', () => {
    writeFileSync(
      join(folder, 'running.json'),
      JSON.stringify({ pid: process.pid, started: '1', address: 'x' }),
    );
    const giveBack = takeDataFolder(folder, 'y');
    expect(JSON.parse(readFileSync(join(folder, 'running.json'), 'utf8'))).toMatchObject({ address: 'y' });
    giveBack();
    writeFileSync(join(folder, 'running.json'), 'torn');
    takeDataFolder(folder, 'z')();
  });

  it('that cannot be made is named with the way out', () => {
    writeFileSync(join(folder, 'file'), '');
    expect(() => prepareDataFolder(join(folder, 'file', 'data'), true)).toThrow(/Give another with --data/);
  });
});

describe('a port', () => {
  it('that is busy is named, with another to try', async () => {
    const port = await freePort();
    await expect(requireFreePort(port)).resolves.toBeUndefined();
    const taken = createServer().listen(port, '127.0.0.1');
    await new Promise((resolve) => taken.once('listening', resolve));
    try {
      await expect(requireFreePort(port)).rejects.toThrow(`Port ${port} is busy.`);
    } finally {
      taken.close();
    }
  });
});
