import { classValidatorResolver } from '@hookform/resolvers/class-validator';
import { pointerParts } from '@yugator/contracts';
import { isRecord } from '@yugator/core';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import type { DefaultValues, FieldValues, Path, UseFormReturn } from 'react-hook-form';
import { ApiProblem, sentenceOf } from '../api/problem.js';

/** `#/draws/0/quantity` as the form names it: `draws.0.quantity`. */
function fieldOf<T extends FieldValues>(pointer: string): Path<T> {
  // Where the form has no such field, its value is undefined and it gets no error.
  return pointerParts(pointer).join('.') as Path<T>;
}

interface DtoForm<T extends FieldValues> extends UseFormReturn<T> {
  /** what is wrong with the form as a whole; null where nothing is */
  readonly problem: string | null;
  /** puts a refusal of the server at the fields it names; what was typed stays */
  refuse(error: unknown): void;
  clearProblem(): void;
}

/** The sentences of faults that stand at no field of the form: nobody would see them there. */
function unseenFaults(errors: object): string[] {
  return Object.entries(errors).flatMap(([name, fault]: [string, unknown]) => {
    if (!isRecord(fault))
      return Array.isArray(fault) ? fault.flatMap((each) => unseenFaults(each ?? {})) : [];
    if (typeof fault['message'] !== 'string') return name === 'ref' ? [] : unseenFaults(fault);
    return fault['ref'] === undefined ? [fault['message']] : [];
  });
}

/**
 * A form checked by the same class that the server checks it by: each field once it was left, or all when it is sent. A form to which lines
 * are added waits: a new line is empty, and would be found so at once.
 */
export function useDtoForm<T extends FieldValues>(
  dto: new () => T,
  defaultValues: DefaultValues<T>,
  mode: 'onTouched' | 'onSubmit' = 'onTouched',
): DtoForm<T> {
  const form = useForm<T>({ resolver: classValidatorResolver(dto), defaultValues, mode });
  const [problem, setProblem] = useState<string | null>(null);
  return {
    ...form,
    problem,
    clearProblem: () => setProblem(null),
    handleSubmit: (onValid, onInvalid) =>
      form.handleSubmit(onValid, (errors, event) => {
        setProblem(unseenFaults(errors).join(' ') || null);
        return onInvalid?.(errors, event);
      }),
    refuse(error) {
      const faults = error instanceof ApiProblem ? error.faults : [];
      const known = faults.filter(({ pointer }) => form.getValues(fieldOf<T>(pointer)) !== undefined);
      for (const { pointer, code, detail } of known) {
        form.setError(fieldOf<T>(pointer), { type: code, message: detail }, { shouldFocus: true });
      }
      setProblem(known.length === faults.length && known.length > 0 ? null : sentenceOf(error));
    },
  };
}
