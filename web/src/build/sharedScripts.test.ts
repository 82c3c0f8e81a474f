import { sharedScripts } from './sharedScripts.js';
import type { Script } from './sharedScripts.js';

const entry = (file: string, ...imports: string[]): Script => ({
  file,
  bytes: 9_000,
  imports,
  isEntry: true,
});
const part = (file: string, bytes: number, ...imports: string[]): Script => ({
  file,
  bytes,
  imports,
  isEntry: false,
});

/** The files of each script, in order. */
const sorted = (lists: readonly (readonly string[])[]) => lists.map((files) => [...files].sort()).sort();

/** The file that each script is fetched in. */
function whole(
  scripts: readonly Script[],
  shared: readonly (readonly string[])[],
): ReadonlyMap<string, string> {
  const into = new Map(scripts.map(({ file }) => [file, file]));
  for (const files of shared) for (const file of files) into.set(file, files.join('+'));
  return into;
}

/** Where a walk from script to script, as they are fetched, comes round to where it has been; null where none does. */
function circle(scripts: readonly Script[], shared: readonly (readonly string[])[]): string | null {
  const into = whole(scripts, shared);
  const next = new Map<string, Set<string>>();
  for (const { file, imports } of scripts) {
    const from = into.get(file) ?? '';
    const others = imports.map((each) => into.get(each) ?? '').filter((each) => each !== from);
    next.set(from, new Set([...(next.get(from) ?? []), ...others]));
  }
  const done = new Set<string>();
  const walk = (at: string, way: readonly string[]): string | null => {
    if (way.includes(at)) return [...way, at].join(' → ');
    if (done.has(at)) return null;
    for (const each of next.get(at) ?? []) {
      const found = walk(each, [...way, at]);
      if (found) return found;
    }
    done.add(at);
    return null;
  };
  for (const at of next.keys()) {
    const found = walk(at, []);
    if (found) return found;
  }
  return null;
}

/** How many requests and bytes the entries take together, each by itself. */
function taken(scripts: readonly Script[], shared: readonly (readonly string[])[]) {
  const into = whole(scripts, shared);
  const inside = new Map<string, Script[]>();
  for (const script of scripts) {
    const name = into.get(script.file) ?? '';
    inside.set(name, [...(inside.get(name) ?? []), script]);
  }
  let [requests, bytes] = [0, 0];
  for (const { file } of scripts.filter(({ isEntry }) => isEntry)) {
    const fetched = new Set<string>();
    const open = [file];
    for (let name = open.pop(); name !== undefined; name = open.pop()) {
      if (fetched.has(name)) continue;
      fetched.add(name);
      for (const script of inside.get(name) ?? []) {
        bytes += script.bytes;
        open.push(...script.imports.map((each) => into.get(each) ?? ''));
      }
    }
    requests += fetched.size;
  }
  return { requests, bytes };
}

describe('scripts that are fetched as one', () => {
  it('are those that the same entries need', () => {
    const scripts = [
      entry('today', 'plate', 'shape', 'list'),
      entry('fleet', 'plate', 'shape'),
      entry('help', 'list'),
      part('plate', 20_000),
      part('shape', 20_000),
      part('list', 20_000),
    ];
    expect(sorted(sharedScripts(scripts))).toEqual([['list'], ['plate', 'shape']]);
  });

  it('are others too where a request weighs more than the bytes that nobody asked for', () => {
    const needed = (bytes: number) => [
      entry('today', 'plate', 'shape'),
      entry('fleet', 'plate', 'shape'),
      entry('help', 'shape'),
      part('plate', bytes),
      part('shape', 20_000),
    ];
    expect(sorted(sharedScripts(needed(7_900)))).toEqual([['plate', 'shape']]);
    expect(sorted(sharedScripts(needed(8_100)))).toEqual([['plate'], ['shape']]);
  });

  it('bring what they need with them, which counts', () => {
    const scripts = (bytes: number) => [
      entry('today', 'plate', 'shape'),
      entry('fleet', 'plate', 'shape'),
      entry('help', 'shape'),
      part('plate', 300, 'form'),
      part('shape', 20_000),
      part('form', bytes),
    ];
    expect(sorted(sharedScripts(scripts(300)))).toEqual([['form', 'plate', 'shape']]);
    expect(sorted(sharedScripts(scripts(49_800)))).toEqual([['form'], ['plate'], ['shape']]);
  });

  it('never wait for a third that waits for them', () => {
    const scripts = [
      entry('today', 'plate'),
      entry('fleet', 'plate'),
      part('plate', 300, 'form'),
      // Too large to become part of the others.
      part('form', 60_000, 'words'),
      part('words', 300),
    ];
    expect(sorted(sharedScripts(scripts))).toEqual([['form'], ['plate'], ['words']]);
  });

  it('are not larger than can be kept when others change', () => {
    const scripts = [
      entry('today', 'a', 'b'),
      entry('fleet', 'a', 'b'),
      part('a', 30_000),
      part('b', 25_000),
    ];
    expect(sorted(sharedScripts(scripts))).toEqual([['a'], ['b']]);
  });

  it('hold each script once, wait for none in a circle, and take fewer requests, whatever needs what', () => {
    let seed = 20_261_201;
    const upTo = (most: number) => {
      seed = (seed * 48_271) % 2_147_483_647;
      return seed % most;
    };
    for (let round = 0; round < 60; round += 1) {
      const parts = Array.from({ length: 25 }, (_, at) => {
        const imports = Array.from({ length: at }, (_other, each) => `part${each}`);
        return part(
          `part${at}`,
          100 + upTo(upTo(4) ? 2_000 : 60_000),
          ...imports.filter(() => upTo(6) === 0),
        );
      });
      const entries = Array.from({ length: 8 }, (_, at) => {
        const wanted = parts.filter(() => upTo(5) === 0).map(({ file }) => file);
        return entry(`entry${at}`, ...wanted);
      });
      const scripts = [...parts, ...entries];
      const shared = sharedScripts(scripts);
      expect(shared.flat().sort()).toEqual(parts.map(({ file }) => file).sort());
      expect(circle(scripts, shared)).toBeNull();
      const [before, after] = [taken(scripts, []), taken(scripts, shared)];
      expect(after.requests).toBeLessThan(before.requests);
      expect(after.bytes - before.bytes).toBeLessThanOrEqual(4_000 * (before.requests - after.requests));
    }
  });
});
