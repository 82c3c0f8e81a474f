import type { DueLineDto, MachineDto } from '@yugator/contracts';
import { lazy } from 'react';
import { DialogButton } from '../form/DialogButton.js';

const DeclareForm = lazy(async () => ({ default: (await import('./DeclareForm.js')).DeclareForm }));

interface Props {
  readonly line: DueLineDto;
  readonly machine: MachineDto;
}

/** Says when an item without a record was last done. */
export function DeclareLast({ line, machine }: Props) {
  return (
    <DialogButton word="Say when" size="small" label={`Say when: ${line.itemName}`}>
      {(close) => <DeclareForm line={line} machine={machine} onDone={close} />}
    </DialogButton>
  );
}
