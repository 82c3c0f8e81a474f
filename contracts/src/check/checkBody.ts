import { isRecord } from '@yugator/core';
import { plainToInstance } from 'class-transformer';
import { validateSync } from 'class-validator';
import type { ValidationError } from 'class-validator';
import type { FieldFaultDto } from '../problem/problem.dto.js';
import { shapeOf } from '../rules/shape.js';
import { rulesOf } from './compiled.js';
import { flatTwin } from './flatTwin.js';
import { plainFaults } from './plainFaults.js';
import { pointerTo } from './pointer.js';
import { shapeFaults } from './shapeFaults.js';

type Class = new () => object;

/** Entries of a list of objects that are checked in one go. */
const LONG = 20;

/** More faults than anybody corrects at once are not told. */
export const MOST_FAULTS = 20;

/** A body as an instance of its class, or what is wrong with it. */
export type Checked<T> =
  | { readonly value: T; readonly faults?: undefined }
  | { readonly faults: FieldFaultDto[]; readonly value?: undefined };

function* faultsOf(errors: readonly ValidationError[], path: readonly string[]): Generator<FieldFaultDto> {
  for (const { property, constraints = {}, children = [] } of errors) {
    const at = [...path, property];
    // Of several rules broken, the one applied first is the most basic, here as in the forms.
    const [code, message] = Object.entries(constraints)[0] ?? [];
    const pointer = pointerTo(at);
    if (code === 'whitelistValidation') {
      yield { pointer, code: 'unknownField', detail: `There is no field "${property}". Leave it out.` };
    } else if (code && message) yield { pointer, code, detail: message };
    yield* faultsOf(children, at);
  }
}

function firstFaults(errors: readonly ValidationError[]): FieldFaultDto[] {
  const faults: FieldFaultDto[] = [];
  for (const fault of faultsOf(errors, [])) {
    faults.push(fault);
    if (faults.length >= MOST_FAULTS) break;
  }
  return faults;
}

const RULES = {
  whitelist: true,
  forbidNonWhitelisted: true,
  forbidUnknownValues: true,
  stopAtFirstError: true,
} as const;

function boundFaults(dto: Class, body: Record<string, unknown>): FieldFaultDto[] {
  const plain = plainFaults(body, MOST_FAULTS);
  return plain.length ? plain : shapeFaults(body, dto, MOST_FAULTS);
}

/** Lists of objects that are so long that their entries are better checked one by one. */
function longLists(
  dto: Class,
  body: Record<string, unknown>,
): { name: string; of: Class; most: number; entries: unknown[] }[] {
  return Object.entries(body).flatMap(([name, entries]) => {
    const shape = shapeOf(dto, name);
    const isLong = shape?.of && Array.isArray(entries) && entries.length > LONG;
    return isLong ? [{ name, of: shape.of(), most: shape.most ?? 0, entries }] : [];
  });
}

function checkWhole<T extends object>(dto: new () => T, body: Record<string, unknown>): Checked<T> {
  const value = plainToInstance(dto, body);
  const errors = validateSync(value, RULES);
  return errors.length ? { faults: firstFaults(errors) } : { value };
}

/**
 * A body that is right in every way, as an instance of its class; null where anything is wrong, without saying what. Between the
 * entries of long lists it yields.
 */
function* readInSteps(dto: Class, body: Record<string, unknown>): Generator<void, object | null> {
  const rules = rulesOf(dto);
  if (!rules) return null;
  const lists = longLists(dto, body);
  const rest = { ...body, ...Object.fromEntries(lists.map(({ name }) => [name, []])) };
  const instance = rules.instanceOf(rest);
  if (!instance) return null;
  for (const { name, of, most, entries } of lists) {
    const own = rulesOf(of);
    if (!own || entries.length > most) return null;
    const read: object[] = [];
    for (const entry of entries) {
      const right = isRecord(entry) ? own.read(entry) : null;
      if (!right) return null;
      read.push(right);
      yield;
    }
    instance[name] = read;
  }
  return rules.isRight(instance) ? instance : null;
}

/**
 * Checks a loose value against a class of this package: first its shape and its plain values, whose cost is bounded, then every
 * field. Fields that the class does not know are refused. Between the entries of long lists it yields, so that whoever runs it
 * may let others have their turn.
 */
export function* checkInSteps<T extends object>(
  dto: new () => T,
  body: unknown,
): Generator<void, Checked<T>> {
  if (!isRecord(body)) {
    return { faults: [{ pointer: '#', code: 'notObject', detail: 'Send the fields as a JSON object.' }] };
  }
  const right = yield* readInSteps(dto, body);
  if (right instanceof dto) return { value: right };
  const bounds = boundFaults(dto, body);
  if (bounds.length) return { faults: bounds };
  const lists = longLists(dto, body);
  if (lists.length === 0) return checkWhole(dto, body);
  const names = lists.map(({ name }) => name);
  const whole = Object.fromEntries(lists.map(({ name, entries }) => [name, entries]));
  const value = plainToInstance(dto, { ...body, ...Object.fromEntries(names.map((name) => [name, []])) });
  const flat = Object.assign(new (flatTwin(dto, names))(), value, whole);
  const faults = firstFaults(validateSync(flat, RULES));
  for (const { name, of, entries } of lists) {
    const checked: object[] = [];
    for (const [index, entry] of entries.entries()) {
      if (faults.length >= MOST_FAULTS) break;
      const instance = plainToInstance(of, entry);
      faults.push(...faultsOf(validateSync(instance, RULES), [name, String(index)]));
      checked.push(instance);
      yield;
    }
    Object.assign(value, { [name]: checked });
  }
  return faults.length ? { faults: faults.slice(0, MOST_FAULTS) } : { value };
}

/** The same in one go. */
export function checkBody<T extends object>(dto: new () => T, body: unknown): Checked<T> {
  const steps = checkInSteps(dto, body);
  for (;;) {
    const { done, value } = steps.next();
    if (done) return value;
  }
}
