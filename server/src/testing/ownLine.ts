import type { BookItemFieldsDto } from '@yugator/contracts';

/** A line of a machine's own for tests: due every so many hours of the engine, with nothing besides. */
export function ownLine(
  what: Pick<BookItemFieldsDto, 'name' | 'action' | 'components'>,
  hours = 50,
  minutes = 5,
): BookItemFieldsDto {
  return {
    ...what,
    minutes,
    renews: [],
    reference: '',
    note: '',
    windowHours: null,
    windowDays: null,
    triggers: [{ kind: 'everyHours', hours, meter: 'engine', grid: null }],
  };
}
