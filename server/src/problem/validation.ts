import { Injectable } from '@nestjs/common';
import type { ArgumentMetadata, PipeTransform } from '@nestjs/common';
import { checkInSteps } from '@yugator/contracts';
import { breather } from '../queue/breather.js';
import { fieldProblem } from './problem.js';

/** Checks every body and query against its class in `contracts`; what has no class there goes through as it is. */
@Injectable()
export class Validation implements PipeTransform {
  async transform(value: unknown, { type, metatype }: ArgumentMetadata): Promise<unknown> {
    if ((type !== 'body' && type !== 'query') || !metatype || metatype === Object) return value;
    const breathe = breather();
    const steps = checkInSteps(metatype, value ?? {});
    for (;;) {
      const step = steps.next();
      if (!step.done) await breathe();
      else if (step.value.faults) throw fieldProblem(...step.value.faults);
      else return step.value.value;
    }
  }
}
