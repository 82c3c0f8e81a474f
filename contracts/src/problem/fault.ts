import type { FieldFaultDto } from './problem.dto.js';

/** One field at fault; `pointer` without the leading `#`. */
export function fault(pointer: string, code: string, detail: string): FieldFaultDto {
  return { pointer: `#${pointer}`, code, detail };
}
