import type { MachineDetailDto } from '@yugator/contracts';
import { lazy } from 'react';
import { DialogButton } from '../form/DialogButton.js';
import { STATUS_WORDS } from './classWords.js';

const StatusForm = lazy(async () => ({ default: (await import('./StatusForm.js')).StatusForm }));

/** Takes a machine out of service, lays it up, retires it, or puts it back; the history is shown beneath. */
export function StatusChange({ machine }: { machine: MachineDetailDto }) {
  return (
    <DialogButton
      word={STATUS_WORDS[machine.status]}
      variant="text"
      label={`Status: ${STATUS_WORDS[machine.status]}`}
    >
      {(close) => <StatusForm machine={machine} onDone={close} />}
    </DialogButton>
  );
}
