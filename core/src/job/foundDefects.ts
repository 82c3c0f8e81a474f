import { judgeStrokes } from '../check/grease.js';
import type { Finding } from '../procedure/finding.js';

/** What is wrong by itself, whatever becomes of the item; null for a finding that only shows how things stand. */
function defectIn({ measurement, found }: Finding): string | null {
  const { strokes } = found;
  if (measurement?.kind !== 'grease' || typeof strokes !== 'number') return null;
  return judgeStrokes(strokes, measurement.usual) === 'blocked'
    ? `${measurement.label}: it takes none`
    : null;
}

/**
 * The defects that the findings of a job are by themselves, each in words: a grease fitting that takes none. `open`: words of defects that
 * the machine has already; what stands there is not found anew.
 */
export function defectsFound(
  findings: ReadonlyMap<string, readonly Finding[]>,
  open: readonly string[],
): readonly { readonly itemId: string; readonly words: string }[] {
  const known = new Set(open);
  const found: { itemId: string; words: string }[] = [];
  for (const [itemId, own] of findings) {
    for (const words of own.flatMap((finding) => defectIn(finding) ?? [])) {
      if (!known.has(words)) found.push({ itemId, words });
      known.add(words);
    }
  }
  return found;
}
