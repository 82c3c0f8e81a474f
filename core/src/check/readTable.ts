/** A line of a printed table: what it is looked up by, and what it gives. */
export type TableLine = readonly [at: number, gives: number];

/** What a printed table gives at `at`: linear between its lines, its ends beyond them. `lines` go upwards and are not empty. */
export function readTable(lines: readonly [TableLine, ...TableLine[]], at: number): number {
  const above = lines.find((line) => line[0] >= at);
  const below = lines.findLast((line) => line[0] < at);
  if (!above || !below) return (above ?? below ?? lines[0])[1];
  const share = (at - below[0]) / (above[0] - below[0]);
  return below[1] + share * (above[1] - below[1]);
}
