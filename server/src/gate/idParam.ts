import type { PipeTransform } from '@nestjs/common';
import { isId } from '@yugator/contracts';
import { notFound } from '../problem/problem.js';

/** Lets the id of a path through; anything that is no id, in whatever spelling, names nothing that there is. */
export function IdOf(what: string): PipeTransform<string, string> {
  return {
    transform(value) {
      if (!isId(value)) throw notFound(what);
      return value;
    },
  };
}
