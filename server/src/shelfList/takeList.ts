import { createHash } from 'node:crypto';
import type { ListLineDto, ListResultDto, TakeListDto } from '@yugator/contracts';
import { cellsOf, headingsOf, nameKey } from '@yugator/core';
import type { ListFault } from '@yugator/core';
import type { UnitOfWork } from '../database/unitOfWork.js';
import { Problem } from '../problem/problem.js';
import type { OpenList, ReadyLine } from './openList.js';

/** The whole of a list as rows of cells, the headings first. */
export function rowsOf<L, T>({ columns, known }: OpenList<L, T>): string[][] {
  return [headingsOf(columns), ...known.map((line) => cellsOf(columns, line))];
}

/** Headings of the column that tells what a line is about, where it could not be read. */
const NAMES = ['name', 'article'];

function sentence({ heading, detail }: ListFault): string {
  return heading ? `${heading}: ${detail}` : detail;
}

/** What comes of each row, and the lines that are to be written. */
async function look<L, T>(
  list: OpenList<L, T>,
  [head = [], ...rows]: readonly (readonly string[])[],
): Promise<{ result: ListResultDto; ready: ReadyLine<L, T>[] }> {
  const reader = list.reader(head);
  const faults: ListFault[] = [];
  const ready: ReadyLine<L, T>[] = [];
  let same = 0;
  const named = head.findIndex((heading) => NAMES.includes(nameKey(heading)));
  if (Array.isArray(reader)) faults.push(...reader);
  else
    for (const [at, row] of rows.entries()) {
      const line = at + 2;
      if (row.every((cell) => cell.trim() === '')) continue;
      const outcome = reader.take(row, line);
      if (outcome.does === 'fault') faults.push(...outcome.faults);
      else if (outcome.does === 'same') same += 1;
      else ready.push({ ...outcome, line });
    }
  faults.push(...(await list.judge(ready)));
  const subjectOf = (line: number) => rows[line - 2]?.[named]?.trim().slice(0, 80) ?? '';
  return { result: resultOf(ready, faults, same, subjectOf), ready };
}

function resultOf<L, T>(
  ready: readonly ReadyLine<L, T>[],
  faults: readonly ListFault[],
  same: number,
  subjectOf: (line: number) => string,
): ListResultDto {
  const wrong = new Map<number, string[]>();
  for (const fault of faults) wrong.set(fault.line, [...(wrong.get(fault.line) ?? []), sentence(fault)]);
  const right: ListLineDto[] = ready
    .filter(({ line }) => !wrong.has(line))
    .map(({ line, does, subject, changes }) => ({ line, does, subject, changes: [...changes], faults: [] }));
  const subjects = new Map(ready.map(({ line, subject }) => [line, subject]));
  const atFault: ListLineDto[] = [...wrong].map(([line, sentences]) => ({
    line,
    does: 'fault',
    subject: subjects.get(line) ?? subjectOf(line),
    changes: [],
    faults: sentences,
  }));
  const lines = [...right, ...atFault].sort((a, b) => a.line - b.line);
  const count = (does: ListLineDto['does']) => lines.filter((line) => line.does === does).length;
  return {
    lines,
    counts: { new: count('new'), change: count('change'), same, fault: count('fault') },
    shown: createHash('sha256')
      .update(JSON.stringify([lines, ready.map(({ now, target }) => [now, target])]))
      .digest('hex'),
    written: false,
  };
}

/**
 * What a list does, line by line; written where exactly that was `shown` before. Throws a {@link Problem} where it is another thing now, or
 * where a line is at fault: all of a list is taken in, or nothing.
 */
export async function takeList<L, T>(
  work: UnitOfWork,
  open: (isTaking: boolean) => Promise<OpenList<L, T>>,
  { rows, shown }: TakeListDto,
): Promise<ListResultDto> {
  if (shown === undefined) return (await look(await open(false), rows)).result;
  return work.run(async () => {
    const list = await open(true);
    const { result, ready } = await look(list, rows);
    if (result.counts.fault || result.shown !== shown)
      throw new Problem(
        409,
        'Changed meanwhile',
        'The shelf was changed since this list was looked at. Look at what it does now, and take it in then.',
        [],
        { current: result },
      );
    await list.write(ready);
    work.changed('shelf', 'machines');
    return { ...result, written: true };
  });
}
