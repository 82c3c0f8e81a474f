import { VoidDto } from '@yugator/contracts';
import type { Subject } from '@yugator/contracts';
import { useWrite } from '../api/useWrite.js';
import { Field } from '../form/Field.js';
import { FormDialog } from '../form/FormDialog.js';
import { useDtoForm } from '../form/useDtoForm.js';

export interface Voiding {
  /** what is voided: "the reading of 412.6 h" */
  readonly what: string;
  /** what else that takes back */
  readonly consequence: string;
  readonly path: string;
  readonly subjects: readonly Subject[];
}

/** Asks why it does not count before it is voided. */
export function VoidForm({ what, consequence, path, subjects, onDone }: Voiding & { onDone: () => void }) {
  const form = useDtoForm(VoidDto, { reason: '' });
  const write = useWrite<unknown, VoidDto>((body) => ({ method: 'POST', path, body }), subjects, onDone);
  return (
    <FormDialog
      title={`Void ${what}?`}
      problem={form.problem}
      problemTitle="Not voided"
      submitWord="Void it"
      pending={write.isPending}
      onSubmit={form.handleSubmit((values) => write.mutate(values, { onError: form.refuse }))}
      onLeave={onDone}
    >
      <p>{consequence} It stays in the history, struck through, with your name and reason.</p>
      <Field form={form} name="reason" label="Why it does not count" autoFocus />
    </FormDialog>
  );
}
