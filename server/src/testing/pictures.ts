import sharp from 'sharp';

/** A small grey JPEG; with `isPlaced`, one that says where and with what it was taken. */
export function jpeg({ width = 40, height = 30, isPlaced = false } = {}): Promise<Buffer> {
  const picture = sharp({ create: { width, height, channels: 3, background: '#778877' } });
  const place = {
    IFD3: { GPSLatitude: '51/1 30/1 0/1', GPSLatitudeRef: 'N' },
    IFD0: { Model: 'Shed phone' },
  };
  return (isPlaced ? picture.withExif(place) : picture).jpeg().toBuffer();
}

/** A picture that was never there, in no format that is taken. */
export const NO_PICTURE = Buffer.from('GIF89a, but nothing follows');
/** An id that names nothing. */
export const NOBODY = '00000000-0000-7000-8000-00000000dead';
