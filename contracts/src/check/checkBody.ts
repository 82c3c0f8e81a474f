import { plainToInstance } from 'class-transformer';
import { validateSync } from 'class-validator';
import type { ValidationError } from 'class-validator';
import type { FieldFaultDto } from '../problem/problem.dto.js';
import { isPlainObject } from '../rules/shape.js';
import { plainFaults } from './plainFaults.js';
import { pointerTo } from './pointer.js';
import { shapeFaults } from './shapeFaults.js';

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

/**
 * Checks a loose value against a class of this package: first its shape and its plain values, whose cost is bounded, then every
 * field. Fields that the class does not know are refused.
 */
export function checkBody<T extends object>(dto: new () => T, body: unknown): Checked<T> {
  if (!isPlainObject(body)) {
    return { faults: [{ pointer: '#', code: 'notObject', detail: 'Send the fields as a JSON object.' }] };
  }
  const plain = plainFaults(body, MOST_FAULTS);
  if (plain.length) return { faults: plain };
  const shape = shapeFaults(body, dto, MOST_FAULTS);
  if (shape.length) return { faults: shape };
  const value = plainToInstance(dto, body);
  const errors = validateSync(value, {
    whitelist: true,
    forbidNonWhitelisted: true,
    forbidUnknownValues: true,
    stopAtFirstError: true,
  });
  return errors.length ? { faults: firstFaults(errors) } : { value };
}
