import type { ListResultDto, ShelfList, Subject } from '@yugator/contracts';
import type { Instant } from '@yugator/core';
import type { OnceKey } from '../database/once.js';
import type { Refused } from '../queue/sentProblem.js';

interface ListSurroundings {
  readonly databaseUrl: string;
  readonly now: Instant;
  readonly list: ShelfList;
}

/** What a thread of its own does with a list of the shelf. All of it crosses between threads as plain data. */
export type ListTask =
  | (ListSurroundings & { readonly kind: 'rows' })
  | (ListSurroundings & {
      readonly kind: 'take';
      /** the body of the request, as it came */
      readonly bytes: Uint8Array;
      readonly once: OnceKey | null;
    });

export type ListAnswer =
  | { readonly kind: 'rows'; readonly rows: string[][] }
  | { readonly kind: 'taken'; readonly result: ListResultDto; readonly changed: readonly Subject[] }
  | Refused;
