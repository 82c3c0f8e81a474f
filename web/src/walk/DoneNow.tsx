import { lazy } from 'react';
import { DialogButton } from '../form/DialogButton.js';
import type { DoneNowLine, DoneNowMachine } from './doneNowLine.js';

const DoneNowForm = lazy(async () => ({ default: (await import('./DoneNowForm.js')).DoneNowForm }));

interface Props {
  readonly machine: DoneNowMachine;
  readonly lines: readonly DoneNowLine[];
  readonly word: string;
  readonly label: string;
}

/** Notes short work as done, without a job: one press to open, one on what was done. */
export function DoneNow({ machine, lines, word, label }: Props) {
  return (
    <DialogButton word={word} label={label} size="small">
      {(close) => <DoneNowForm machine={machine} lines={lines} onDone={close} />}
    </DialogButton>
  );
}
