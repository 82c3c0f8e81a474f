import type { DefectSearchDto } from '@yugator/contracts';
import { storedList, storedObject } from '../database/storedJson.js';

function isSearch(value: unknown): value is DefectSearchDto {
  const search = storedObject(value);
  return (
    typeof search?.['on'] === 'string' &&
    typeof search['by'] === 'string' &&
    typeof search['verdict'] === 'string' &&
    storedObject(search['answers']) !== null
  );
}

/** The searches of a defect as they are stored, earliest first. Throws where the table holds something else. */
export function storedSearches(value: unknown): DefectSearchDto[] {
  return storedList(value).map((each) => {
    if (isSearch(each)) return each;
    throw new Error('A stored search is none.');
  });
}
