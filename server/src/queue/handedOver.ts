import { move, transferableSymbol, valueSymbol } from 'piscina';

/** An answer of a worker whose bytes go over to the other thread whole; copying them would hold that one up. */
export function handedOver<Answer extends object>(answer: Answer, bytes: Uint8Array): Answer {
  const whole = { [transferableSymbol]: [bytes.buffer], [valueSymbol]: answer };
  return move(whole as unknown as Parameters<typeof move>[0]) as unknown as Answer;
}
