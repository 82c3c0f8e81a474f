import { Injectable } from '@nestjs/common';
import type { ArgumentMetadata, PipeTransform } from '@nestjs/common';
import { checkBody } from '@yugator/contracts';
import { fieldProblem } from './problem.js';

/** Checks every body and query against its class in `contracts`; what has no class there goes through as it is. */
@Injectable()
export class Validation implements PipeTransform {
  transform(value: unknown, { type, metatype }: ArgumentMetadata): unknown {
    if ((type !== 'body' && type !== 'query') || !metatype || metatype === Object) return value;
    const checked = checkBody(metatype as new () => object, value ?? {});
    if (checked.faults) throw fieldProblem(...checked.faults);
    return checked.value;
  }
}
