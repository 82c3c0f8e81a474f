import { createHash } from 'node:crypto';

/** Reckons the tag of an answer while its pieces come. It is weak, because they go out in several encodings (RFC 9110, 8.8.1). */
export class EntityTag {
  private readonly hash = createHash('sha1');

  add(piece: string | Uint8Array): this {
    this.hash.update(piece);
    return this;
  }

  /** The tag of all that was added; nothing can be added afterwards. */
  end(): string {
    return `W/"${this.hash.digest('base64url')}"`;
  }
}

/** Whether a client says in If-None-Match that it has the answer of this tag. */
export function hasTag(header: string | undefined, tag: string): boolean {
  return header !== undefined && header.split(',').some((each) => each.trim() === tag);
}
