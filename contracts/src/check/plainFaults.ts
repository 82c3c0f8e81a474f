import { isRecord } from '@yugator/core';
import type { FieldFaultDto } from '../problem/problem.dto.js';
import { textFault } from '../rules/plainText.js';
import type { TextFault } from '../rules/plainText.js';
import { pointerTo } from './pointer.js';

const LARGEST = 1e15;
const SMALLEST = 1e-6;
/** Names that mean something to the language itself. */
const RESERVED = new Set(['__proto__', 'constructor', 'prototype']);

const WORDS: Record<TextFault, string> = {
  control: 'This text holds a character that cannot be seen. Type it anew.',
  direction: 'This text holds a mark that turns the direction of writing. Type it anew.',
  surrogate: 'This text holds half a character. Type it anew.',
};

function numberFault(value: number): string | null {
  const size = Math.abs(value);
  const isSane = Number.isFinite(value) && (size === 0 || (size >= SMALLEST && size <= LARGEST));
  return isSane ? null : 'This figure is too large or too small to be true. Check it.';
}

function own(path: readonly (string | number)[], code: string, detail: string): FieldFaultDto {
  return { pointer: pointerTo(path), code, detail };
}

function* walk(value: unknown, path: readonly (string | number)[]): Generator<FieldFaultDto> {
  if (typeof value === 'string') {
    const fault = textFault(value);
    if (fault) yield own(path, fault, WORDS[fault]);
  } else if (typeof value === 'number') {
    const detail = numberFault(value);
    if (detail) yield own(path, 'figure', detail);
  } else if (Array.isArray(value)) {
    for (const [index, each] of value.entries()) yield* walk(each, [...path, index]);
  } else if (typeof value === 'object' && value !== null) {
    for (const [key, each] of Object.entries(value)) {
      const isOdd = RESERVED.has(key) || textFault(key) !== null;
      if (isOdd) yield own(path, 'name', 'A field has a name that cannot be. Leave it out.');
      else yield* walk(each, [...path, key]);
    }
  }
}

/** Whether every value in a body could be kept as it is: the same as finding no fault, without saying where they are. */
export function isPlain(value: unknown): boolean {
  if (typeof value === 'string') return textFault(value) === null;
  if (typeof value === 'number') return numberFault(value) === null;
  if (Array.isArray(value)) return value.every(isPlain);
  if (!isRecord(value)) return true;
  for (const key of Object.keys(value)) {
    if (RESERVED.has(key) || textFault(key) !== null) return false;
    if (!isPlain(value[key])) return false;
  }
  return true;
}

/** The first `most` values in a body, of whatever class, that could not be kept as they are: odd texts, figures and names. */
export function plainFaults(body: unknown, most: number): FieldFaultDto[] {
  const faults: FieldFaultDto[] = [];
  for (const fault of walk(body, [])) {
    faults.push(fault);
    if (faults.length >= most) break;
  }
  return faults;
}
