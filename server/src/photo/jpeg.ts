import type { FieldFaultDto } from '@yugator/contracts';
import { fault } from '../problem/problem.js';

/** Every JPEG begins so (ITU-T T.81, start of image). */
const JPEG_START = Buffer.from([0xff, 0xd8, 0xff]);

export function jpegBytes(base64: string): Buffer {
  return Buffer.from(base64, 'base64');
}

/** What speaks against a photo that was sent in base64. */
export function jpegFaults(base64: string, pointer: string): FieldFaultDto[] {
  const isJpeg = jpegBytes(base64).subarray(0, JPEG_START.length).equals(JPEG_START);
  return isJpeg ? [] : [fault(pointer, 'notJpeg', 'This is no JPEG. Choose a photo.')];
}
