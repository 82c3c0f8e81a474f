import { ValidateBy } from 'class-validator';

/** Base64 characters of a photo of 3 MB. */
export const MOST_PHOTO_CHARACTERS = 4_000_000;

/** A photo in base64 of at most 3 MB. What it holds is looked at where it is decoded. */
export function IsPhoto(): PropertyDecorator {
  return ValidateBy(
    {
      name: 'isPhoto',
      validator: {
        validate: (value: unknown) =>
          typeof value === 'string' && value.length > 0 && value.length <= MOST_PHOTO_CHARACTERS,
      },
    },
    { message: 'Send the photo in base64, at most 3 MB.' },
  );
}
