/**
 * Twice the integral of the correlation over all pairs of days within `days`, for a correlation that falls to 1/e after `memory`
 * days: what the variance of a sum of days is for one of a single day. About `days²` within the memory, 2 · `memory` · `days` far
 * beyond it (the variance of an integrated first-order autoregressive process, handbook formula, from memory).
 */
export function persistence(days: number, memory: number): number {
  const lengths = days / memory;
  return lengths < 1e-4 ? days * days : 2 * memory * memory * (lengths - 1 + Math.exp(-lengths));
}
