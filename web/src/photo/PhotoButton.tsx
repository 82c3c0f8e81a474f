import { FileButton } from '../form/FileButton.js';
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
  const take = async (file: File) => {
    const jpeg = await asJpeg(file);
    onFault(jpeg === null ? `${file.name} is no picture that this browser can read. Choose a photo.` : null);
    if (jpeg !== null) onJpeg(jpeg);
  };
  return (
    <FileButton size="small" label={label} accept="image/*" loading={loading} onFile={take}>
      {word}
    </FileButton>
  );
}
