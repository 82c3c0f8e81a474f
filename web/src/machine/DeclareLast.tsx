import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { DeclareDto } from '@yugator/contracts';
import type { DueLineDto, MachineDto } from '@yugator/contracts';
import { useState } from 'react';
import { useWrite } from '../api/useWrite.js';
import { Field } from '../form/Field.js';
import form_ from '../form/form.module.css';
import { useDtoForm } from '../form/useDtoForm.js';
import { Caution } from '../page/Caution.js';
import { useNotice } from '../page/Notice.js';
import { useSession } from '../session/useSession.js';

function DeclareForm({
  line,
  machine,
  onDone,
}: {
  line: DueLineDto;
  machine: MachineDto;
  onDone: () => void;
}) {
  const { today } = useSession();
  const say = useNotice();
  const form = useDtoForm(DeclareDto, { itemId: line.itemId, doneOn: today, life: machine.life, note: '' });
  const declare = useWrite<MachineDto, DeclareDto>(
    (body) => ({ method: 'POST', path: `/machines/${machine.id}/declarations`, body }),
    ['machines'],
  );
  const submit = form.handleSubmit((values) =>
    declare.mutate(values, {
      onSuccess: () => {
        say(`${line.itemName}: noted.`);
        onDone();
      },
      onError: form.refuse,
    }),
  );
  return (
    <form noValidate onSubmit={(event) => void submit(event)}>
      <DialogTitle>
        {machine.tag}: when was it last done? {line.itemName}
      </DialogTitle>
      <DialogContent className={form_.form}>
        <p className="soft">
          From the calendar, the filter or the paper record. If nobody knows, do it in a job instead.
        </p>
        {form.problem ? <Caution title="Not saved">{<p>{form.problem}</p>}</Caution> : null}
        <Field form={form} name="doneOn" label="Day" type="date" />
        <Field
          form={form}
          name="life"
          label="Life hours then"
          figure
          hint={`It has run ${machine.life} h by now`}
        />
        <Field form={form} name="note" label="Where this is known from" />
      </DialogContent>
      <DialogActions>
        <Button onClick={onDone}>Leave it</Button>
        <Button type="submit" variant="contained" color="primary" loading={declare.isPending}>
          Keep
        </Button>
      </DialogActions>
    </form>
  );
}

/** Says when an item without a record was last done. */
export function DeclareLast({ line, machine }: { line: DueLineDto; machine: MachineDto }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button size="small" onClick={() => setOpen(true)} aria-label={`Say when: ${line.itemName}`}>
        Say when
      </Button>
      <Dialog open={open} onClose={() => setOpen(false)}>
        <DeclareForm line={line} machine={machine} onDone={() => setOpen(false)} />
      </Dialog>
    </>
  );
}
