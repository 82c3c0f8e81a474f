import type { DueLineDto, KeepWalkDto, Severity } from '@yugator/contracts';
import type { Component, LookKey } from '@yugator/core';
import { get } from 'react-hook-form';
import type { FieldErrors } from 'react-hook-form';
import { toDto } from '../topUp/poured.js';
import type { Poured } from '../topUp/poured.js';

/** What is looked at: a line of a book, or a part of the standing look. */
export interface Looked {
  readonly key: string;
  readonly isLine: boolean;
  readonly words: string;
  /** why it is looked at now; '' for the standing look */
  readonly reason: string;
  readonly look: LookKey | null;
  /** what can be topped up there; null where nothing can */
  readonly fluid: Component | null;
}

/** How something ends that is not well. */
export type Ending = 'defect' | 'putRight' | 'toppedUp';

/** What is said of something that is not well. All that was typed stays while its ending is chosen anew. */
export interface Said {
  readonly key: string;
  readonly isLine: boolean;
  readonly ending: Ending;
  /** what is wrong, or what was done */
  readonly words: string;
  readonly severity: Severity;
  /** base64; null while none is taken */
  readonly jpeg: string | null;
  readonly poured: Poured;
}

function placeOf({ key, isLine }: Said): { itemId: string } | { look: string } {
  return isLine ? { itemId: key } : { look: key };
}

const LISTS = { defect: 'notWell', putRight: 'putRight', toppedUp: 'toppedUp' } as const;

/** The parts of a walk that follow from what is said: a line is done unless it ends as a defect. */
export function partsOf(
  said: readonly Said[],
  lines: readonly DueLineDto[],
): Pick<KeepWalkDto, 'itemIds' | 'notWell' | 'putRight' | 'toppedUp'> {
  const ending = (which: Ending) => said.filter((each) => each.ending === which);
  const bad = new Set(ending('defect').map(({ key }) => key));
  return {
    itemIds: lines.map(({ itemId }) => itemId).filter((id) => !bad.has(id)),
    notWell: ending('defect').map((each) => ({
      ...placeOf(each),
      words: each.words,
      severity: each.severity,
      ...(each.jpeg === null ? {} : { jpeg: each.jpeg }),
    })),
    putRight: ending('putRight').map((each) => ({ ...placeOf(each), words: each.words })),
    toppedUp: ending('toppedUp').map(({ poured }) => toDto(poured)),
  };
}

/** What is wrong with a part of what is said at a place. */
export function saidFault(
  errors: FieldErrors<KeepWalkDto>,
  said: readonly Said[],
  key: string,
  part: string,
): string | undefined {
  const own = said.find((each) => each.key === key);
  if (!own) return undefined;
  const at = said.filter(({ ending }) => ending === own.ending).indexOf(own);
  const fault: { message?: string } | undefined = get(errors, `${LISTS[own.ending]}.${at}.${part}`);
  return fault?.message;
}

/** What is wrong with the lines that are done: they stand at no field of their own. */
export function linesFault(errors: FieldErrors<KeepWalkDto>): string | undefined {
  const faults: { message?: string } | readonly ({ message?: string } | undefined)[] = errors.itemIds ?? [];
  return [faults].flat().find((fault) => fault?.message)?.message;
}
