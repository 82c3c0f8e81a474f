import Button from '@mui/material/Button';
import { useRef } from 'react';
import { asJpeg } from './asJpeg.js';

interface Props {
  readonly word: string;
  /** what the photo is of, for those who do not see the page */
  readonly label: string;
  readonly loading?: boolean;
  readonly onJpeg: (base64: string) => void;
  /** a file that is no picture, in one sentence */
  readonly onFault: (problem: string | null) => void;
}

/** Takes a photo with the phone, or chooses one. */
export function PhotoButton({ word, label, loading = false, onJpeg, onFault }: Props) {
  const input = useRef<HTMLInputElement>(null);
  const take = async (file: File | undefined) => {
    if (!file) return;
    const jpeg = await asJpeg(file);
    onFault(jpeg === null ? `${file.name} is no picture that this browser can read. Choose a photo.` : null);
    if (jpeg !== null) onJpeg(jpeg);
    if (input.current) input.current.value = '';
  };
  return (
    <>
      <Button size="small" loading={loading} onClick={() => input.current?.click()}>
        {word}
      </Button>
      <input
        ref={input}
        type="file"
        accept="image/*"
        aria-label={label}
        className="visually-hidden"
        tabIndex={-1}
        onChange={(event) => void take(event.target.files?.[0])}
      />
    </>
  );
}
