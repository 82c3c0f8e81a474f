import bwip from 'bwip-js';

/** What Code 128 can say: the visible characters of ASCII and the blank (ISO/IEC 15417). */
const SAYABLE = /^[\x20-\x7e]{1,40}$/;

/** A code as bars that every scanner of the shed reads (Code 128), as SVG; null where bars cannot say it. */
export function barsOf(code: string): string | null {
  if (!SAYABLE.test(code)) return null;
  return bwip.toSVG({ bcid: 'code128', text: code, height: 8, paddingwidth: 0 });
}
