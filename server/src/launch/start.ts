import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { createInterface } from 'node:readline/promises';
import { setTimeout as wait } from 'node:timers/promises';
import { fileURLToPath } from 'node:url';
import type { NestFastifyApplication } from '@nestjs/platform-fastify';
import type { Sequelize } from 'sequelize-typescript';
import 'reflect-metadata';
import type { Clock } from '../clock/clock.js';
import { createApp } from '../createApp.js';
import { connect } from '../database/connect.js';
import { migrator } from '../database/migrator.js';
import { DEMONSTRATION_SIGN_INS, loadDemonstration } from '../demo/loadDemonstration.js';
import { KnownHosts } from '../gate/knownHosts.js';
import { fingerprint } from '../lan/certificates.js';
import { Lan } from '../lan/lan.js';
import { lanCertificates } from '../lan/lanCertificates.js';
import type { LanCertificates } from '../lan/lanCertificates.js';
import { newSetUpCode } from '../session/setUpCode.js';
import { Site } from '../models/site.model.js';
import { publishDemoPlan } from '../seasonPlan/demoPlan.js';
import { SeasonPlans } from '../seasonPlan/seasonPlan.js';
import { FolderStorage } from '../storage/storage.js';
import { prepareDataFolder } from './dataFolder.js';
import { takeDataFolder } from './dataLock.js';
import { clockFor, requireDemonstration } from './demoClock.js';
import { startLocalMariaDb } from './mariadb/localMariaDb.js';
import type { LocalMariaDb } from './mariadb/localMariaDb.js';
import { startOptions, USAGE } from './options.js';
import type { StartOptions } from './options.js';
import { requireFreePort } from './ports.js';
import { say, warn } from './say.js';
import { codeOf, StartError } from './startError.js';

const ROOT = fileURLToPath(new URL('../../../', import.meta.url));
const WEB = join(ROOT, 'web', 'dist');
/** Each part of stopping may take so long; then the next begins. The database takes ten seconds at most. */
const PART_MS = 2_000;

async function confirmReset(options: StartOptions): Promise<void> {
  if (!options.resetDemo || options.yes) return;
  const what = options.databaseUrl ? 'the database that DATABASE_URL names' : options.data;
  if (!process.stdin.isTTY) {
    throw new StartError(
      `--reset-demo throws away all data in ${what}. Add --yes to say that this is meant.`,
    );
  }
  const question = createInterface({ input: process.stdin, output: process.stdout });
  const answer = await question.question(
    `Throw away all data in ${what} and load the demonstration crew? (yes/no) `,
  );
  question.close();
  if (answer.trim().toLowerCase() !== 'yes') throw new StartError('Nothing was changed.');
}

async function connected(url: string): Promise<Sequelize> {
  const sequelize = connect(url);
  try {
    await sequelize.authenticate();
    return sequelize;
  } catch (error) {
    await sequelize.close();
    const reason = error instanceof Error ? error.message : String(error);
    throw new StartError(`The database does not take the connection: ${reason}`);
  }
}

/** What is still to be done once the application stands. */
type Begin = (app: NestFastifyApplication) => Promise<void>;

/** Brings the schema up to date and fills an empty database as the options ask. */
async function prepareDatabase(sequelize: Sequelize, options: StartOptions, clock: Clock): Promise<Begin> {
  const migrations = migrator(sequelize);
  if (options.resetDemo) await migrations.down({ to: 0 });
  await migrations.up();
  if (options.empty || (await Site.count()) > 0) return () => Promise.resolve();
  say('Loading the demonstration crew …');
  await loadDemonstration(sequelize, clock.now());
  return (app) => publishDemoPlan(app.get(SeasonPlans));
}

/** What phones need to know, and what is compared on them. */
async function announceLan({ names, authority }: LanCertificates, port: number): Promise<void> {
  const [name = 'localhost'] = names;
  say(`The network reaches it at https://${name}:${port}`);
  if (!authority) return;
  say(
    `A phone trusts it once by http://${name}:${port}/trust; there it shows this (SHA-256), or somebody stands between:`,
  );
  say(`  ${await fingerprint(authority.certificate)}`);
}

async function announce(address: string, setUpCode: string): Promise<void> {
  const site = await Site.findOne();
  say(`\nYugator runs at ${address}`);
  if (!site) {
    say('There is no crew yet. Open this and become its crew lead:');
    say(`  ${address}/sign-in#set-up=${setUpCode}`);
    say(`Set-up code: ${setUpCode}`);
  }
  if (site?.demonstration) {
    say('This is a demonstration: everybody knows its passwords. Sign-ins:');
    for (const { name, role, password } of DEMONSTRATION_SIGN_INS)
      say(`  ${name.padEnd(16)} ${password}   (${role})`);
  }
  say('Ctrl-C stops it.');
}

/** Everything that runs, in the order in which it is stopped. */
interface Running {
  readonly lan: Lan;
  readonly app: NestFastifyApplication;
  readonly sequelize: Sequelize;
  readonly database: LocalMariaDb | null;
}

/** A part that does not end in time, such as a connection whose peer is silent, does not keep the others from stopping. */
async function within(part: Promise<void> | undefined): Promise<void> {
  await Promise.race([part, wait(PART_MS, undefined, { ref: false })]);
}

async function stop({ lan, app, sequelize, database }: Partial<Running>): Promise<void> {
  await within(lan?.close());
  await within(app?.close());
  await within(sequelize?.close());
  await database?.stop();
}

/** Fulfilled when somebody asks to stop. During the start it is remembered, and what was started is stopped in order. */
function untilAsked(): Promise<void> {
  return new Promise((asked) => {
    for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, () => asked());
  });
}

/** Rejected with what nothing caught, so that even then everything is stopped in order. */
function untilBroken(): Promise<never> {
  return new Promise((_, broken) => {
    process.on('uncaughtException', broken);
    process.on('unhandledRejection', broken);
  });
}

async function run(options: StartOptions): Promise<void> {
  const running: { -readonly [K in keyof Running]?: Running[K] } = {};
  const address = `http://127.0.0.1:${options.port}`;
  prepareDataFolder(
    options.data,
    options.databaseUrl === null && !existsSync(join(options.data, 'mariadb', 'data')),
  );
  const asked = untilAsked();
  const broken = untilBroken();
  const giveBack = takeDataFolder(options.data, address);
  try {
    await requireFreePort(options.port, options.lan ? 'everywhere' : 'loopback');
    await confirmReset(options);
    running.database = options.databaseUrl
      ? null
      : await startLocalMariaDb(join(options.data, 'mariadb'), { say: warn });
    const databaseUrl = options.databaseUrl ?? running.database?.url ?? '';
    running.sequelize = await connected(databaseUrl);
    const clock = clockFor(options.demoOn);
    const begin = await prepareDatabase(running.sequelize, options, clock);
    await requireDemonstration(options.demoOn, clock);
    const setUpCode = newSetUpCode();
    const hosts = new KnownHosts(options.hosts);
    const siteName = (await Site.findOne())?.name ?? 'this site';
    const { lan } = options;
    const certificates = () =>
      lan ? lanCertificates(lan, options.data, siteName, Date.now()) : Promise.resolve(null);
    const tls = await certificates();
    running.app = await createApp({
      sequelize: running.sequelize,
      databaseUrl,
      clock,
      webFolder: WEB,
      setUpCode,
      hosts,
      trustedProxies: options.trustedProxies,
      isStrictlySecure: Boolean(lan?.own),
      ...(tls ? { tls: tls.machine } : {}),
      ...(running.database ? { storage: new FolderStorage(options.data) } : {}),
    });
    await begin(running.app);
    if (tls) {
      const renew = async () => (await certificates()) ?? tls;
      const parts = { app: running.app, hosts, port: options.port, siteName, certificates: tls, renew };
      running.lan = await Lan.serve({ ...parts, onProblem: warn });
    } else await running.app.listen(options.port, '127.0.0.1');
    await announce(address, setUpCode);
    if (tls) await announceLan(tls, options.port);
    await Promise.race([asked, broken]);
    say('\nStopping …');
  } finally {
    await stop(running);
    giveBack();
  }
}

function sentence(error: unknown): string {
  if (error instanceof StartError) return error.message;
  if (codeOf(error) === 'ENOSPC') return 'The disk is full. Free some space and start again.';
  return error instanceof Error ? (error.stack ?? error.message) : String(error);
}

async function main(): Promise<void> {
  const options = startOptions(process.argv.slice(2), process.env, ROOT);
  if (options.help) say(USAGE);
  else await run(options);
}

main().then(
  () => process.exit(0),
  (error: unknown) => {
    warn(sentence(error));
    process.exit(1);
  },
);
