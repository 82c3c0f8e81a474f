/** Longest side of a photo that is kept, in pixels. */
const LONGEST = 1280;
const QUALITY = 0.82;

/** A picture as a JPEG in base64, no larger than it needs to be; null where the browser cannot read it. */
export async function asJpeg(file: Blob): Promise<string | null> {
  let picture: ImageBitmap;
  try {
    picture = await createImageBitmap(file);
  } catch (error) {
    // What is no picture is refused with an InvalidStateError; anything else is none of ours.
    if (error instanceof DOMException && error.name === 'InvalidStateError') return null;
    throw error;
  }
  const scale = Math.min(1, LONGEST / Math.max(picture.width, picture.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(picture.width * scale);
  canvas.height = Math.round(picture.height * scale);
  canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height);
  picture.close();
  return canvas.toDataURL('image/jpeg', QUALITY).split(',')[1] ?? null;
}
