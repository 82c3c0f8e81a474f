import { lazy } from 'react';
import { DialogButton } from '../form/DialogButton.js';

const TopUpForm = lazy(async () => ({ default: (await import('./TopUpForm.js')).TopUpForm }));

/** Keeps that a fluid of a machine was filled up. */
export function TopUp({ machineId }: { machineId: string }) {
  return (
    <DialogButton word="Top up">{(close) => <TopUpForm machineId={machineId} onDone={close} />}</DialogButton>
  );
}
