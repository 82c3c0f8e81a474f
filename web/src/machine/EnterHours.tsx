import { lazy } from 'react';
import { DialogButton } from '../form/DialogButton.js';
import type { MeterRef } from './HoursForm.js';

const HoursForm = lazy(async () => ({ default: (await import('./HoursForm.js')).HoursForm }));

interface Props extends Partial<MeterRef> {
  readonly machineId: string;
  readonly word?: string;
  readonly size?: 'small';
}

/** Enters one meter's reading from the machine's page. */
export function EnterHours({ machineId, meter = 'engine', word = 'Enter hours', size }: Props) {
  return (
    <DialogButton word={word} {...(size ? { size } : {})}>
      {(close) => <HoursForm machineId={machineId} meter={meter} onDone={close} />}
    </DialogButton>
  );
}
