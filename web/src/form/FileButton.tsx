import Button from '@mui/material/Button';
import type { ButtonProps } from '@mui/material/Button';
import { useRef } from 'react';

interface Props extends Pick<ButtonProps, 'children' | 'loading' | 'size' | 'variant'> {
  /** what the file is, for those who do not see the page */
  readonly label: string;
  /** as the attribute of that name: `.json` */
  readonly accept: string;
  readonly onFile: (file: File) => unknown;
}

/** A button that asks for a file of this device. The same one can be chosen again, once it was mended. */
export function FileButton({ label, accept, onFile, ...button }: Props) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <Button {...button} onClick={() => input.current?.click()} />
      <input
        ref={input}
        type="file"
        accept={accept}
        aria-label={label}
        className="visually-hidden"
        tabIndex={-1}
        onChange={({ target }) => {
          const [file] = target.files ?? [];
          target.value = '';
          if (file) onFile(file);
        }}
      />
    </>
  );
}
