import { spawn } from 'node:child_process';
import type { ChildProcess } from 'node:child_process';
import { cpSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';

const ROOT = resolve(__dirname, '..', '..');
const READY_MS = 90_000;
/** Memory, where `scripts/test.mjs` found some: no data of a test has to last. */
const SCRATCH = process.env['TEST_SCRATCH'] ?? tmpdir();

export function freePort(): Promise<number> {
  return new Promise((found) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const address = probe.address();
      probe.close(() => found(typeof address === 'object' && address ? address.port : 0));
    });
  });
}

/** What `./start` printed, and how it ended. */
export interface Ended {
  readonly output: string;
  readonly code: number | null;
}

/** Yugator as a person starts it, on data and a port of its own. */
export class Yugator {
  private child: ChildProcess | undefined;
  private output = '';
  readonly address: string;

  private constructor(
    readonly data: string,
    readonly port: number,
    private readonly options: readonly string[],
  ) {
    this.address = `http://127.0.0.1:${port}`;
  }

  /** On a new data folder with nothing in it. */
  static empty(): Promise<Yugator> {
    return Yugator.at(mkdtempSync(join(SCRATCH, 'yugator-e2e-')), '--empty');
  }

  /** On a copy of the demonstration that was made before the tests. */
  static withDemonstration(data = mkdtempSync(join(SCRATCH, 'yugator-e2e-'))): Promise<Yugator> {
    cpSync(process.env['TEST_DEMONSTRATION'] ?? '', data, { recursive: true });
    return Yugator.at(data);
  }

  /** On a demonstration as if today were another day. */
  static on(day: string): Promise<Yugator> {
    return Yugator.at(mkdtempSync(join(SCRATCH, 'yugator-e2e-')), '--demo-on', day);
  }

  /** On a data folder that is named. */
  static async at(data: string, ...options: string[]): Promise<Yugator> {
    return new Yugator(data, await freePort(), options);
  }

  /** What the first crew lead has to type; printed where there is none yet. */
  get setUpCode(): string {
    return /Set-up code: (\S+)/.exec(this.output)?.[1] ?? '';
  }

  /** Starts and waits until the address is printed. */
  async start(): Promise<void> {
    const child = spawn('./start', ['--data', this.data, '--port', String(this.port), ...this.options], {
      cwd: ROOT,
    });
    this.child = child;
    this.output = '';
    await new Promise<void>((ready, failed) => {
      const late = setTimeout(() => failed(new Error(`Not ready in time:\n${this.output}`)), READY_MS);
      const hear = (chunk: Buffer) => {
        this.output += chunk.toString();
        if (!this.output.includes('Ctrl-C stops it.')) return;
        clearTimeout(late);
        ready();
      };
      child.stdout.on('data', hear);
      child.stderr.on('data', hear);
      child.once('exit', () => {
        clearTimeout(late);
        failed(new Error(`Ended before it was ready:\n${this.output}`));
      });
    });
  }

  /** Stops it as Ctrl-C does, and waits for its end. */
  stop(signal: NodeJS.Signals = 'SIGTERM'): Promise<Ended> {
    const child = this.child;
    if (!child || child.exitCode !== null || child.signalCode !== null) {
      return Promise.resolve({ output: this.output, code: child?.exitCode ?? null });
    }
    const ended = new Promise<Ended>((resolved) =>
      child.once('exit', (code) => resolved({ output: this.output, code })),
    );
    child.kill(signal);
    return ended;
  }

  /** Cuts the power: kills the server and its database at once. */
  async kill(): Promise<void> {
    const database = Number(readFileSync(join(this.data, 'mariadb', 'db.pid'), 'utf8'));
    const ended = this.stop('SIGKILL');
    process.kill(database, 'SIGKILL');
    await ended;
  }

  async remove(): Promise<void> {
    await this.stop();
    rmSync(this.data, { recursive: true, force: true });
  }
}

/** Runs `./start` with options that make it refuse, and tells what it said. */
export function refusal(...options: string[]): Promise<Ended> {
  return new Promise((resolved) => {
    const child = spawn('./start', options, { cwd: ROOT });
    let output = '';
    child.stderr.on('data', (chunk: Buffer) => (output += chunk.toString()));
    child.once('exit', (code) => resolved({ output, code }));
  });
}
