import { NotKept } from '../api/problem.js';
import { newKey } from '../api/write.js';
import type { Entry, Typed } from './entry.js';
import { fateOf } from './fate.js';
import type { OutboxStore } from './outboxStore.js';
import { deviceStore } from './outboxStore.js';
import { sendEntry } from './sendEntry.js';

export type NewEntry = Omit<Entry, 'place' | 'refused'>;

/** Called with each entry that was sent, and what was answered. */
type OnSent = (entry: Entry, answer: unknown) => void | Promise<void>;

/** One tab at a time sends; where the browser has no locks, keys alone see to it that nothing takes effect twice. */
async function inTurn(work: () => Promise<void>): Promise<void> {
  if (!('locks' in navigator)) return work();
  await navigator.locks.request('yugator-outbox', { ifAvailable: true }, (lock) =>
    lock ? work() : undefined,
  );
}

/** What was typed without signal, in the order of typing, until the server has it or its owner throws it away. */
export class Outbox {
  private entries: readonly Entry[] = [];
  private readonly listeners = new Set<() => void>();
  private readonly others =
    typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('yugator-outbox');
  private sending: Promise<void> | null = null;
  /** somebody asked to send while it was sending: what came in at its very end is not left lying */
  private wantsMore = false;

  constructor(
    private readonly store: OutboxStore,
    private readonly send: (entry: Entry) => Promise<unknown> = sendEntry,
  ) {
    this.others?.addEventListener('message', () => void this.read());
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  /** All that lies on the device, whoever typed it; the same array until it changes. */
  readonly snapshot = (): readonly Entry[] => this.entries;

  of(personId: string): readonly Entry[] {
    return this.entries.filter((entry) => entry.personId === personId);
  }

  /** Reads what lies on the device: at the opening, and after another tab changed it. */
  async read(): Promise<void> {
    try {
      this.tell(await this.store.all());
    } catch (error) {
      // A browser that lets nothing be kept has nothing either; whoever types without signal is told so.
      console.warn('The outbox of this device cannot be read.', error);
    }
  }

  /** Keeps a write on the device. Throws {@link NotKept} where that cannot be. */
  async add(entry: NewEntry): Promise<void> {
    const place = Math.max(entry.at, (this.entries.at(-1)?.place ?? 0) + 1);
    await this.put({ ...entry, place, refused: null });
  }

  /** Sends what a refused one says, put right, under a new key and in its place; it was typed when it was typed. */
  async putRight(key: string, body: unknown, typed: Typed): Promise<void> {
    const before = this.entries.find((entry) => entry.key === key);
    if (!before) return;
    await this.put({ ...before, key: newKey(), body, typed, refused: null });
    await this.drop(key);
  }

  async drop(key: string): Promise<void> {
    await this.store.drop(key);
    this.changed(this.entries.filter((entry) => entry.key !== key));
  }

  async dropAll(personId: string): Promise<void> {
    for (const { key } of this.of(personId)) await this.drop(key);
  }

  /** Sends what waits of a person, one by one, until the server is not there; what it refuses stays with its reason. */
  sendAll(personId: string, onSent: OnSent): Promise<void> {
    if (this.sending) {
      this.wantsMore = true;
      return this.sending;
    }
    this.sending = this.sendOn(personId, onSent);
    return this.sending;
  }

  private async sendOn(personId: string, onSent: OnSent): Promise<void> {
    try {
      do {
        this.wantsMore = false;
        await inTurn(() => this.work(personId, onSent));
      } while (this.wantsMore);
    } finally {
      this.sending = null;
    }
  }

  private async work(personId: string, onSent: OnSent): Promise<void> {
    // Another tab may have sent or added some.
    await this.read();
    const next = () => this.of(personId).find(({ refused }) => refused === null);
    for (let entry = next(); entry; entry = next()) {
      try {
        const answer = await this.send(entry);
        await onSent(entry, answer);
        await this.drop(entry.key);
      } catch (error) {
        const fate = fateOf(error);
        if (fate.kind === 'later') {
          this.wantsMore = false;
          return;
        }
        await this.put({ ...entry, refused: fate.refusal });
      }
    }
  }

  private async put(entry: Entry): Promise<void> {
    try {
      await this.store.put(entry);
    } catch (error) {
      throw new NotKept(error);
    }
    const others = this.entries.filter(({ key }) => key !== entry.key);
    this.changed([...others, entry].sort((a, b) => a.place - b.place));
  }

  private changed(entries: readonly Entry[]): void {
    this.tell(entries);
    this.others?.postMessage('changed');
  }

  private tell(entries: readonly Entry[]): void {
    this.entries = entries;
    for (const listener of this.listeners) listener();
  }
}

export const outbox = new Outbox(deviceStore());
