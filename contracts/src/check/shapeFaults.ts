import type { FieldFaultDto } from '../problem/problem.dto.js';
import { isRecord } from '@yugator/core';
import { MOST_ENTRIES, shapeOf } from '../rules/shape.js';
import type { Shape } from '../rules/shape.js';
import { pointerTo } from './pointer.js';

type Class = new () => object;
type Path = readonly (string | number)[];

function fault(path: Path, code: string, detail: string): FieldFaultDto {
  return { pointer: pointerTo(path), code, detail };
}

function* listFaults(
  list: readonly unknown[],
  of: Class | null,
  message: string,
  path: Path,
): Generator<FieldFaultDto> {
  if (!of) return;
  for (const [index, entry] of list.entries()) {
    if (isRecord(entry)) yield* walk(entry, of, [...path, index]);
    else yield fault([...path, index], 'notObject', message);
  }
}

function* tooLong(list: readonly unknown[], shape: Shape | undefined, path: Path): Generator<FieldFaultDto> {
  if (list.length <= (shape?.most ?? MOST_ENTRIES)) return;
  yield fault(path, 'tooMany', shape?.message ?? `Send at most ${MOST_ENTRIES} entries.`);
}

function* walk(body: Record<string, unknown>, dto: Class, path: Path): Generator<FieldFaultDto> {
  for (const [property, value] of Object.entries(body)) {
    const shape = shapeOf(dto, property);
    const of = shape?.of?.() ?? null;
    const at = [...path, property];
    if (Array.isArray(value)) {
      const [long] = tooLong(value, shape, at);
      if (long) yield long;
      else yield* listFaults(value, of, shape?.message ?? '', at);
    } else if (of && shape?.most === null && isRecord(value)) yield* walk(value, of, at);
  }
}

/**
 * The first `most` places of a body that are not of the shape its class asks: lists that are too long, entries that are no
 * objects. It is looked at before any field is, so that the work that follows is bounded.
 */
export function shapeFaults(body: Record<string, unknown>, dto: Class, most: number): FieldFaultDto[] {
  const faults: FieldFaultDto[] = [];
  for (const each of walk(body, dto, [])) {
    faults.push(each);
    if (faults.length >= most) break;
  }
  return faults;
}
