import Button from '@mui/material/Button';
import type { ButtonProps } from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import { Suspense, useState } from 'react';
import type { ReactNode } from 'react';
import { Loading } from '../page/Loading.js';

interface Props extends Pick<ButtonProps, 'size' | 'variant'> {
  readonly word: string;
  /** the button's name where its word alone would not tell which thing it is for */
  readonly label?: string;
  readonly children: (close: () => void) => ReactNode;
}

/** A button that opens a dialog; its content is made anew each time. */
export function DialogButton({ word, label, children, ...look }: Props) {
  const [open, setOpen] = useState(false);
  const close = () => setOpen(false);
  return (
    <>
      <Button {...look} onClick={() => setOpen(true)} aria-label={label}>
        {word}
      </Button>
      <Dialog open={open} onClose={close}>
        <Suspense fallback={<Loading rows={3} />}>{children(close)}</Suspense>
      </Dialog>
    </>
  );
}
