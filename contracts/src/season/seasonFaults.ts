import { civilDate, repeatedNames, seasonYearFault } from '@yugator/core';
import type { SeasonYearFault } from '@yugator/core';
import { fault } from '../problem/fault.js';
import type { FieldFaultDto } from '../problem/problem.dto.js';
import type { SeasonFieldsDto, SeasonYearDto } from './season.dto.js';

const FAULT_WORDS: Record<SeasonYearFault, string> = {
  endsBeforeItBegins: 'ends before it begins. Give a last day on or after the first.',
  longerThanAYear: 'is longer than a year. Give a last day within a year of the first.',
  beginsInAnotherYear: 'begins in another year. Give a first day in that year; the last may lie in the next.',
};

function yearFaults(years: readonly SeasonYearDto[], path: string): FieldFaultDto[] {
  const seen = new Set<number>();
  return years.flatMap(({ year, firstDay, lastDay }, index) => {
    const pointer = `${path}/years/${index}`;
    if (seen.has(year))
      return [fault(`${pointer}/year`, 'repeated', `${year} stands here twice. Keep one line.`)];
    seen.add(year);
    const code = seasonYearFault({ year, firstDay: civilDate(firstDay), lastDay: civilDate(lastDay) });
    return code ? [fault(`${pointer}/lastDay`, code, `${year} ${FAULT_WORDS[code]}`)] : [];
  });
}

/** What is wrong with seasons beside each other; `path` leads to their list. */
export function seasonFaults(
  seasons: readonly Pick<SeasonFieldsDto, 'name' | 'years'>[],
  path: string,
): FieldFaultDto[] {
  const repeated = new Set(repeatedNames(seasons.map(({ name }) => name)));
  return seasons.flatMap(({ name, years }, index) => [
    ...(repeated.has(index)
      ? [
          fault(
            `${path}/${index}/name`,
            'taken',
            `There are two seasons called ${name}. Give one another name.`,
          ),
        ]
      : []),
    ...yearFaults(years, `${path}/${index}`),
  ]);
}
