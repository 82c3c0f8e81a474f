import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { VoidDto } from '@yugator/contracts';
import type { Subject } from '@yugator/contracts';
import { useState } from 'react';
import { useWrite } from '../api/useWrite.js';
import { Field } from '../form/Field.js';
import form_ from '../form/form.module.css';
import { useDtoForm } from '../form/useDtoForm.js';
import { Caution } from './Caution.js';

interface Props {
  /** what is voided: "the reading of 412.6 h" */
  readonly what: string;
  /** what else that takes back */
  readonly consequence: string;
  readonly path: string;
  readonly subjects: readonly Subject[];
}

function VoidForm({ what, consequence, path, subjects, onDone }: Props & { onDone: () => void }) {
  const form = useDtoForm(VoidDto, { reason: '' });
  const write = useWrite<unknown, VoidDto>((body) => ({ method: 'POST', path, body }), subjects);
  const submit = form.handleSubmit((values) =>
    write.mutate(values, { onSuccess: onDone, onError: form.refuse }),
  );
  return (
    <form noValidate onSubmit={(event) => void submit(event)}>
      <DialogTitle>Void {what}?</DialogTitle>
      <DialogContent className={form_.form}>
        <p>{consequence} It stays in the history, struck through, with your name and reason.</p>
        {form.problem ? <Caution title="Not voided">{<p>{form.problem}</p>}</Caution> : null}
        <Field form={form} name="reason" label="Why it does not count" autoFocus />
      </DialogContent>
      <DialogActions>
        <Button onClick={onDone}>Leave it</Button>
        <Button type="submit" variant="contained" color="primary" loading={write.isPending}>
          Void it
        </Button>
      </DialogActions>
    </form>
  );
}

/** Takes a mistaken fact out of the reckoning, with a reason. */
export function VoidDialog(props: Props) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button size="small" variant="text" onClick={() => setOpen(true)} aria-label={`Void ${props.what}`}>
        Void
      </Button>
      <Dialog open={open} onClose={() => setOpen(false)}>
        <VoidForm {...props} onDone={() => setOpen(false)} />
      </Dialog>
    </>
  );
}
