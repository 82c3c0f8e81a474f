import { ValidationPipe } from '@nestjs/common';
import type { FieldFaultDto } from '@yugator/contracts';
import type { ValidationError } from 'class-validator';
import { fault, fieldProblem } from './problem.js';

/** JSON pointers escape `~` and `/` (RFC 6901). */
function escaped(key: string): string {
  return key.replaceAll('~', '~0').replaceAll('/', '~1');
}

function faultsOf(errors: readonly ValidationError[], path: string): FieldFaultDto[] {
  return errors.flatMap((error) => {
    const pointer = `${path}/${escaped(error.property)}`;
    // Of several rules broken, the one applied first is the most basic, here as in the forms.
    const [code, message] = Object.entries(error.constraints ?? {})[0] ?? [];
    const own =
      code === 'whitelistValidation'
        ? [fault(pointer, 'unknownField', `There is no field "${error.property}". Leave it out.`)]
        : code && message
          ? [fault(pointer, code, message)]
          : [];
    return [...own, ...faultsOf(error.children ?? [], pointer)];
  });
}

/** Checks every body and query against its class in `contracts`; unknown properties are refused. */
export function validation(): ValidationPipe {
  return new ValidationPipe({
    transform: true,
    whitelist: true,
    forbidNonWhitelisted: true,
    forbidUnknownValues: true,
    exceptionFactory: (errors) => fieldProblem(...faultsOf(errors, '')),
  });
}
