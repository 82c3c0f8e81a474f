import { createHash } from 'node:crypto';

/** The tag of an answer, weak because it goes out in several encodings (RFC 9110, 8.8.1). */
export function entityTag(pieces: readonly (string | Uint8Array)[]): string {
  const hash = createHash('sha1');
  for (const piece of pieces) hash.update(piece);
  return `W/"${hash.digest('base64url')}"`;
}

/** Whether a client says in If-None-Match that it has the answer of this tag. */
export function hasTag(header: string | undefined, tag: string): boolean {
  return header !== undefined && header.split(',').some((each) => each.trim() === tag);
}
