/** Longest side of a photo that is kept, in pixels. */
const LONGEST = 2_048;
/** A file may claim any size; more pixels than a good phone takes are not decoded. */
const MOST_PIXELS = 64_000_000;
const QUALITY = 82;
const KINDS = new Set(['jpeg', 'png', 'webp']);

/** Read with the first photo. What was decoded once is not asked for again, and one photo needs one core. */
async function decoder() {
  const { default: sharp } = await import('sharp');
  sharp.cache(false);
  sharp.concurrency(1);
  return sharp;
}

/**
 * A picture decoded and written anew as a JPEG, upright, at most 2,048 pixels long, with nothing of what the file held besides:
 * no place, no device, no foreign pages. null where it is no picture.
 */
export async function cleanPhoto(bytes: Buffer): Promise<Buffer | null> {
  const sharp = await decoder();
  try {
    const picture = sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'error', animated: false });
    const { format } = await picture.metadata();
    if (!KINDS.has(format)) return null;
    return await picture
      .rotate()
      .resize({ width: LONGEST, height: LONGEST, fit: 'inside', withoutEnlargement: true })
      .flatten({ background: '#ffffff' })
      .jpeg({ quality: QUALITY })
      .toBuffer();
  } catch {
    // The decoder refuses in many words; for the person it is one thing: no picture.
    return null;
  }
}
