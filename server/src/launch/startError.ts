import { isNativeError } from 'node:util/types';

/** A reason not to start that the person at the keyboard can do something about; its message is the whole output. */
export class StartError extends Error {
  override readonly name = 'StartError';
}

/** The `code` of a system error, such as ENOSPC; undefined for other errors. */
export function codeOf(error: unknown): string | undefined {
  return isNativeError(error) && 'code' in error ? String(error.code) : undefined;
}
