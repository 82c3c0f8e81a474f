import { IsBase64, MaxLength } from 'class-validator';
import { applyDecorators } from './applyDecorators.js';

/** A JPEG in base64 of at most 3 MB. */
export function IsJpeg(): PropertyDecorator {
  return applyDecorators(
    MaxLength(4_000_000, { message: 'The photo is too large: send at most 3 MB.' }),
    IsBase64({}, { message: 'Send the photo as a JPEG in base64.' }),
  );
}
