/** Why a text cannot be kept. */
export type TextFault = 'control' | 'direction' | 'surrogate';

/** Controls of C0 and C1 but tab and line ends (Unicode general category Cc), and the code points that are no characters. */
// oxlint-disable-next-line no-control-regex
const CONTROL = /[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f-\u009f\ufdd0-\ufdef\ufffe\uffff]/;
/** What turns the direction of writing round and so shows another text than is kept (Unicode annex 9, explicit directional). */
const DIRECTION = /[\u202a-\u202e\u2066-\u2069\u200e\u200f\u061c]/;
/** What takes no room and so makes two texts look the same (zero width, soft hyphen, byte order mark). */
const INVISIBLE = /[\u00ad\u200b\u2060\ufeff]/;
const SURROGATE = /\p{Surrogate}/u;

/** Of these alone, most texts and all photos are made; they are told apart in one quick look. */
const PLAIN = /^[\x20-\x7e]*$/;

/** What speaks against keeping a text; null where nothing does. */
export function textFault(text: string): TextFault | null {
  if (PLAIN.test(text)) return null;
  if (CONTROL.test(text) || INVISIBLE.test(text)) return 'control';
  if (DIRECTION.test(text)) return 'direction';
  return SURROGATE.test(text) ? 'surrogate' : null;
}
