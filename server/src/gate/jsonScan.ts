/** Why a text is not worth parsing. */
export type ScanFault = 'deep' | 'many';

const [QUOTE, BACKSLASH, COMMA] = [0x22, 0x5c, 0x2c];
const [OPEN_LIST, CLOSE_LIST, OPEN_OBJECT, CLOSE_OBJECT] = [0x5b, 0x5d, 0x7b, 0x7d];

/** Objects and lists within each other; the deepest body of ours has 9. */
const DEEPEST = 24;

/**
 * Counts how deep and how many the values of a JSON text are while it comes in, piece by piece, so that nothing hostile is
 * parsed whole. It takes any text; whether it is JSON, the parser says.
 */
export class JsonScan {
  private isInText = false;
  private isEscaped = false;
  private depth = 0;
  private values = 1;

  constructor(private readonly mostValues: number) {}

  push(bytes: Uint8Array): ScanFault | null {
    for (const byte of bytes) {
      if (this.isInText) this.inText(byte);
      else if (byte === QUOTE) this.isInText = true;
      else if (byte === OPEN_LIST || byte === OPEN_OBJECT) this.depth += 1;
      else if (byte === CLOSE_LIST || byte === CLOSE_OBJECT) this.depth -= 1;
      else if (byte === COMMA) this.values += 1;
      if (this.depth > DEEPEST) return 'deep';
    }
    return this.values > this.mostValues ? 'many' : null;
  }

  private inText(byte: number): void {
    if (this.isEscaped) this.isEscaped = false;
    else if (byte === BACKSLASH) this.isEscaped = true;
    else if (byte === QUOTE) this.isInText = false;
  }
}
