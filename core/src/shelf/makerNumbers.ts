/** A number under which a maker sells an article. */
export interface MakerNumber {
  readonly maker: string;
  readonly number: string;
  /** the number that took its place; '' while it is the present one */
  readonly supersededBy: string;
}

/** How a number is compared: as it is typed, stamped or scanned, without spaces, dashes and case. */
export function numberKey(number: string): string {
  return number.toUpperCase().replace(/[\s./-]/g, '');
}

export function isSameNumber(a: string, b: string): boolean {
  return numberKey(a) === numberKey(b);
}

/** A number and all that came after it, in order; ends where one would come twice. */
export function successors(number: string, known: readonly MakerNumber[]): string[] {
  const chain = [number];
  for (;;) {
    const last = chain.at(-1) ?? '';
    const next = known.find((each) => isSameNumber(each.number, last))?.supersededBy ?? '';
    if (!next || chain.some((each) => isSameNumber(each, next))) return chain;
    chain.push(next);
  }
}

/** Whether a number, or what took its place, is one of an article's: the maker's own succession, whoever wrote it down. */
export function isSuperseding(earlier: readonly MakerNumber[], later: readonly MakerNumber[]): boolean {
  const known = [...earlier, ...later];
  const own = new Set(later.map(({ number }) => numberKey(number)));
  return earlier.some(({ number }) =>
    successors(number, known)
      .slice(1)
      .some((next) => own.has(numberKey(next))),
  );
}

/** What an article is called by: our number and a barcode, where it has them, and makers' numbers. */
export interface ArticleNumbers {
  readonly number: string | null;
  readonly barcode: string | null;
  readonly makerNumbers: readonly MakerNumber[];
}

/** The numbers of an article that another was merged into: its own first, and all of the other's besides, so that an old label still finds it. */
export function mergedNumbers(into: ArticleNumbers, twin: ArticleNumbers): ArticleNumbers {
  const [number, barcode] = [into.number ?? twin.number, into.barcode ?? twin.barcode];
  const old = [twin.number, twin.barcode].flatMap((code) =>
    code === null || code === number || code === barcode
      ? []
      : [{ maker: '', number: code, supersededBy: '' }],
  );
  const all = [...into.makerNumbers, ...twin.makerNumbers, ...old];
  const isFirst = (each: MakerNumber, at: number) =>
    all.findIndex((other) => other.maker === each.maker && isSameNumber(other.number, each.number)) === at;
  return { number, barcode, makerNumbers: all.filter(isFirst) };
}

/** Whether two articles are sold under one number. */
export function sharesNumber(a: readonly MakerNumber[], b: readonly MakerNumber[]): boolean {
  const keys = new Set(a.map(({ number }) => numberKey(number)));
  return b.some(({ number }) => keys.has(numberKey(number)));
}
