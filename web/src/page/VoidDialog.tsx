import { lazy } from 'react';
import { DialogButton } from '../form/DialogButton.js';
import type { Voiding } from './VoidForm.js';

const VoidForm = lazy(async () => ({ default: (await import('./VoidForm.js')).VoidForm }));

/** Takes a mistaken fact out of the reckoning, with a reason. */
export function VoidDialog(props: Voiding) {
  return (
    <DialogButton word="Void" size="small" variant="text" label={`Void ${props.what}`}>
      {(close) => <VoidForm {...props} onDone={close} />}
    </DialogButton>
  );
}
