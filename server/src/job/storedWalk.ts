import { isRecord } from '@yugator/core';
import type { PutRightDto } from '@yugator/contracts';
import { storedList, storedObject } from '../database/storedJson.js';

/** What a walk-round looked at and put right, by the names of that day. */
export interface StoredWalk {
  /** looks that were well */
  readonly wellLooks: string[];
  readonly putRight: PutRightDto[];
}

function isPutRight(value: unknown): value is PutRightDto {
  return isRecord(value) && typeof value['name'] === 'string' && typeof value['words'] === 'string';
}

/** A walk as it is stored; an empty one where nothing is. Throws where the table holds something else. */
export function storedWalk(value: unknown): StoredWalk {
  const walk = storedObject(value) ?? {};
  const wellLooks = storedList(walk['wellLooks']);
  const putRight = storedList(walk['putRight']);
  const words = wellLooks.filter((each) => typeof each === 'string');
  const mended = putRight.filter(isPutRight);
  if (words.length < wellLooks.length || mended.length < putRight.length)
    throw new Error('A stored walk is none.');
  return { wellLooks: words, putRight: mended };
}
