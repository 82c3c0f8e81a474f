/** A script as the bundler makes it by itself. */
export interface Script {
  readonly file: string;
  readonly bytes: number;
  /** The files that have to be there before it runs. */
  readonly imports: readonly string[];
  /** Whether it is fetched by its own name, as a route or a dialog is. Others are there because several of these need them. */
  readonly isEntry: boolean;
}

/**
 * What a request is worth: on the signal of a shed (a megabit a second, a sixteenth of a second there and back, six requests at a time)
 * so much, which is a third of it when compressed, takes about as long as one.
 */
const BYTES_OF_REQUEST = 4_000;
/** A script of more than this is worth a request of its own, and can be kept when others change. */
const MOST_BYTES = 50_000;

/** Scripts that are fetched as one. */
interface Bundle {
  readonly scripts: readonly Script[];
  readonly bytes: number;
  readonly isEntry: boolean;
  /** By load: whether it is fetched for it. */
  readonly isFetched: boolean[];
}

type Pair = readonly [Bundle, Bundle];

/** What is fetched with what, as bundles are put together. */
class Bundles {
  private readonly byFile = new Map<string, Bundle>();
  private readonly needs = new Map<Bundle, ReadonlySet<Bundle>>();

  constructor(scripts: readonly Script[]) {
    const entries = scripts.filter(({ isEntry }) => isEntry);
    for (const script of scripts)
      this.add(
        [script],
        entries.map(() => false),
      );
    for (const [load, { file }] of entries.entries()) {
      const bundle = this.byFile.get(file);
      if (bundle) for (const each of [bundle, ...this.needsOf(bundle)]) each.isFetched[load] = true;
    }
  }

  private add(scripts: readonly Script[], isFetched: boolean[]): void {
    const bytes = scripts.reduce((sum, script) => sum + script.bytes, 0);
    const bundle = { scripts, bytes, isEntry: scripts.some(({ isEntry }) => isEntry), isFetched };
    for (const { file } of scripts) this.byFile.set(file, bundle);
    this.needs.clear();
  }

  /** Those that several entries need. */
  get shared(): Bundle[] {
    return [...new Set(this.byFile.values())].filter(({ isEntry }) => !isEntry);
  }

  private nextOf(bundle: Bundle): Bundle[] {
    const found = bundle.scripts.flatMap(({ imports }) =>
      imports.flatMap((file) => this.byFile.get(file) ?? []),
    );
    return found.filter((each) => each !== bundle);
  }

  /** All that have to be there before `bundle` runs. */
  private needsOf(bundle: Bundle): ReadonlySet<Bundle> {
    const known = this.needs.get(bundle);
    if (known) return known;
    const found = new Set<Bundle>();
    // Known from here on, should it come back to itself.
    this.needs.set(bundle, found);
    for (const next of this.nextOf(bundle)) {
      found.add(next);
      for (const each of this.needsOf(next)) found.add(each);
    }
    return found;
  }

  /** Whether one of two needs the other by way of a third: as one, they and the third would wait for each other. */
  wouldWait(pair: Pair): boolean {
    const thirds = pair.flatMap((bundle) => this.nextOf(bundle)).filter((bundle) => !pair.includes(bundle));
    return thirds.some((third) => pair.some((bundle) => this.needsOf(third).has(bundle)));
  }

  /** What two as one would add to all loads together, with what they need, in bytes and requests. */
  costOf(pair: Pair): number {
    const needed = new Set(pair.flatMap((bundle) => [...this.needsOf(bundle)]));
    const all = [...pair, ...[...needed].filter((bundle) => !pair.includes(bundle))];
    const [a, b] = pair;
    return a.isFetched.reduce((cost, isA, load) => {
      const isB = b.isFetched[load];
      if (isA && isB) return cost - BYTES_OF_REQUEST;
      if (!isA && !isB) return cost;
      const added = all.filter(({ isFetched }) => !isFetched[load]);
      // One request is that of the other of the two, which comes with it.
      return added.reduce((sum, { bytes }) => sum + bytes + BYTES_OF_REQUEST, cost - BYTES_OF_REQUEST);
    }, 0);
  }

  merge([a, b]: Pair): void {
    const isFetched = a.isFetched.map((isA, load) => isA || b.isFetched[load] === true);
    for (const bundle of new Set([...this.needsOf(a), ...this.needsOf(b)]))
      for (const [load, isNow] of isFetched.entries()) if (isNow) bundle.isFetched[load] = true;
    this.add([...a.scripts, ...b.scripts], isFetched);
  }
}

/** At least what two as one would cost, without what they need. */
function leastCost(a: Bundle, b: Bundle): number {
  let cost = 0;
  for (let load = 0; load < a.isFetched.length; load += 1) {
    if (a.isFetched[load]) cost += b.isFetched[load] ? -BYTES_OF_REQUEST : b.bytes;
    else if (b.isFetched[load]) cost += a.bytes;
  }
  return cost;
}

/** The two that save most as one, null where no two save anything. */
function bestPair(bundles: Bundles): Pair | null {
  const small = bundles.shared;
  const pairs: { readonly pair: Pair; readonly least: number }[] = [];
  for (const [at, a] of small.entries()) {
    for (const b of small.slice(at + 1)) {
      const least = leastCost(a, b);
      if (least < 0 && a.bytes + b.bytes <= MOST_BYTES) pairs.push({ pair: [a, b], least });
    }
  }
  pairs.sort((one, other) => one.least - other.least);
  let [best, lowest]: [Pair | null, number] = [null, 0];
  for (const { pair, least } of pairs) {
    if (least >= lowest) break;
    if (bundles.wouldWait(pair)) continue;
    const cost = bundles.costOf(pair);
    if (cost < lowest) [best, lowest] = [pair, cost];
  }
  return best;
}

/**
 * Which scripts that several entries need are fetched as one, as lists of their files. The bundler makes one of each set of modules that the
 * same entries need, which are hundreds of some hundred bytes: here the two that save most as one become one, as long as any do.
 */
export function sharedScripts(scripts: readonly Script[]): string[][] {
  const bundles = new Bundles(scripts);
  for (let pair = bestPair(bundles); pair; pair = bestPair(bundles)) bundles.merge(pair);
  return bundles.shared.map((bundle) => bundle.scripts.map(({ file }) => file));
}
