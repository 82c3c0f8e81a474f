import type { DueLineDto, MachineDto } from '@yugator/contracts';
import { lazy } from 'react';
import { DialogButton } from '../form/DialogButton.js';

const DeclareForm = lazy(async () => ({ default: (await import('./DeclareForm.js')).DeclareForm }));

interface Props {
  readonly line: DueLineDto;
  readonly machine: MachineDto;
}

/** Says when an item was last done: asked for where nobody knows, and open at any time. */
export function DeclareLast({ line, machine }: Props) {
  const isUnknown = line.state === 'noRecord' && line.baseline.kind === 'noRecord';
  return (
    <DialogButton
      word="Say when"
      size="small"
      variant={isUnknown ? 'outlined' : 'text'}
      label={`Say when: ${line.itemName}`}
    >
      {(close) => <DeclareForm line={line} machine={machine} onDone={close} />}
    </DialogButton>
  );
}
