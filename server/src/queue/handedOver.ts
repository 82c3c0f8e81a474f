import { move, transferableSymbol, valueSymbol } from 'piscina';

/** An answer of a worker whose bytes go over to the other thread whole; copying them would hold that one up. */
export function handedOver<Answer extends object>(answer: Answer, bytes: Uint8Array): Answer {
  // What the other thread gets is the value alone.
  return move({ [transferableSymbol]: [bytes.buffer], [valueSymbol]: answer }) as unknown as Answer;
}
