import type { ImportResultDto, Subject } from '@yugator/contracts';
import type { Instant } from '@yugator/core';
import type { OnceKey } from '../database/once.js';
import type { Refused } from '../queue/sentProblem.js';

/** Who imports. */
export interface Importer {
  readonly id: string;
}

/** What a thread of its own does with a whole fleet. All of it crosses between threads as plain data. */
export type FleetTask =
  | { readonly kind: 'export'; readonly databaseUrl: string; readonly now: Instant }
  | {
      readonly kind: 'import';
      readonly databaseUrl: string;
      readonly now: Instant;
      /** the body of the request, as it came */
      readonly bytes: Uint8Array;
      readonly importer: Importer;
      readonly once: OnceKey | null;
    };

export type FleetAnswer =
  | { readonly kind: 'exported'; readonly json: Uint8Array; readonly tag: string }
  | { readonly kind: 'imported'; readonly result: ImportResultDto; readonly changed: readonly Subject[] }
  | Refused;
