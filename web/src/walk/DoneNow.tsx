import type { MachineRefDto, WaitingLineDto } from '@yugator/contracts';
import { lazy } from 'react';
import { DialogButton } from '../form/DialogButton.js';

const DoneNowForm = lazy(async () => ({ default: (await import('./DoneNowForm.js')).DoneNowForm }));

/** A machine whose work may be done now, with its life hours at the last reading. */
export type DoneNowMachine = MachineRefDto & { readonly life: number };
export type DoneNowLine = Pick<WaitingLineDto, 'itemId' | 'itemName'>;

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
