/** A write to the API: where it goes and what it says. */
export interface Write {
  readonly method: 'POST' | 'PUT' | 'DELETE';
  readonly path: string;
  readonly body?: unknown;
}

/** A key under which a write takes effect once. */
export function newKey(): string {
  return Array.from(crypto.getRandomValues(new Uint8Array(16)), (byte) =>
    byte.toString(16).padStart(2, '0'),
  ).join('');
}
