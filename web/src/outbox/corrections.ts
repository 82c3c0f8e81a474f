import { isId, pointerParts } from '@yugator/contracts';
import type { FieldFaultDto } from '@yugator/contracts';
import { isRecord } from '@yugator/core';

type Path = readonly string[];

/** A part of a refused write that its owner can put right where it lies. */
export interface Correction {
  /** another figure or other words; a figure that is unusual but true; a line of a list that is left out */
  readonly kind: 'figure' | 'words' | 'confirm' | 'leaveOut';
  readonly path: Path;
  /** what is wrong with it */
  readonly detail: string;
  /** as it was typed; '' where nothing is typed */
  readonly value: string;
}

/** What tells corrections of one write apart. */
export function keyOf({ kind, path }: Correction): string {
  return `${kind} ${path.join('/')}`;
}

function at(body: unknown, path: Path): unknown {
  return path.reduce<unknown>((value, part) => {
    if (Array.isArray(value)) return value[Number(part)];
    return isRecord(value) ? value[part] : undefined;
  }, body);
}

function correctionsOf(body: unknown, { pointer, code, detail }: FieldFaultDto): Correction[] {
  const path = pointerParts(pointer);
  const value = at(body, path);
  const list = path.findLastIndex((part, index) => {
    const around = at(body, path.slice(0, index));
    return Array.isArray(around) && /^\d+$/.test(part) && Number(part) < around.length;
  });
  const line: Correction[] =
    list < 0 ? [] : [{ kind: 'leaveOut', path: path.slice(0, list + 1), detail, value: '' }];
  if (code === 'unusual')
    return [
      { kind: 'figure', path, detail, value: String(value) },
      { kind: 'confirm', path: [...path.slice(0, -1), 'confirmed'], detail, value: '' },
      ...line,
    ];
  if (typeof value === 'number') return [{ kind: 'figure', path, detail, value: String(value) }, ...line];
  if (typeof value === 'string' && !isId(value)) return [{ kind: 'words', path, detail, value }, ...line];
  return line;
}

/** What can be put right of a refused write, by the faults that the server named. A line at fault twice can be left out once. */
export function allCorrections(body: unknown, faults: readonly FieldFaultDto[]): Correction[] {
  const all = faults.flatMap((fault) => correctionsOf(body, fault));
  return all.filter((each, index) => all.findIndex((other) => keyOf(other) === keyOf(each)) === index);
}

/** A body with another value at a place. */
export function withValue(body: unknown, [part, ...rest]: Path, value: unknown): unknown {
  if (part === undefined) return value;
  if (Array.isArray(body))
    return body.map((each: unknown, index) => (index === Number(part) ? withValue(each, rest, value) : each));
  return isRecord(body) ? { ...body, [part]: withValue(body[part], rest, value) } : body;
}

/** A body without a line of one of its lists. */
export function withoutLine(body: unknown, path: Path): unknown {
  const list = at(body, path.slice(0, -1));
  if (!Array.isArray(list)) return body;
  const index = Number(path.at(-1));
  return withValue(body, path.slice(0, -1), list.toSpliced(index, 1));
}
