import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import { CreatePersonDto, ROLES, UpdatePersonDto } from '@yugator/contracts';
import type { PersonDto } from '@yugator/contracts';
import { useState } from 'react';
import { Controller } from 'react-hook-form';
import { useWrite } from '../api/useWrite.js';
import { Field } from '../form/Field.js';
import form_ from '../form/form.module.css';
import { useDtoForm } from '../form/useDtoForm.js';
import { Caution } from '../page/Caution.js';
import { useNotice } from '../page/Notice.js';
import { ROLE_MEANING, ROLE_WORDS } from './roleWords.js';

const ROLE_ITEMS = ROLES.map((role) => (
  <MenuItem key={role} value={role}>
    {ROLE_WORDS[role]}: {ROLE_MEANING[role]}
  </MenuItem>
));

function NewPersonForm({ onDone }: { onDone: () => void }) {
  const say = useNotice();
  const form = useDtoForm<CreatePersonDto>(CreatePersonDto, { name: '', role: 'mechanic', password: '' });
  const create = useWrite<PersonDto, CreatePersonDto>(
    (body) => ({ method: 'POST', path: '/people', body }),
    ['people'],
  );
  const submit = form.handleSubmit((values) =>
    create.mutate(values, {
      onSuccess: (person) => {
        say(`${person.name} can sign in now.`);
        onDone();
      },
      onError: form.refuse,
    }),
  );
  return (
    <form noValidate onSubmit={(event) => void submit(event)}>
      <DialogTitle>Somebody new</DialogTitle>
      <DialogContent className={form_.form}>
        {form.problem ? <Caution title="Not saved">{<p>{form.problem}</p>}</Caution> : null}
        <Field form={form} name="name" label="Name" autoFocus autoComplete="off" sx={{ mt: 1 }} />
        <Field form={form} name="role" label="Role" select defaultValue="mechanic">
          {ROLE_ITEMS}
        </Field>
        <Field
          form={form}
          name="password"
          label="First password"
          type="password"
          autoComplete="new-password"
          hint="At least 10 characters"
        />
      </DialogContent>
      <DialogActions>
        <Button onClick={onDone}>Leave it</Button>
        <Button type="submit" variant="contained" color="primary" loading={create.isPending}>
          Add
        </Button>
      </DialogActions>
    </form>
  );
}

function EditPersonForm({ person, onDone }: { person: PersonDto; onDone: () => void }) {
  const say = useNotice();
  const { role, active, version } = person;
  const form = useDtoForm(UpdatePersonDto, { role, active, version });
  const update = useWrite<PersonDto, UpdatePersonDto>(
    (body) => ({ method: 'PUT', path: `/people/${person.id}`, body }),
    ['people'],
  );
  const submit = form.handleSubmit((values) =>
    update.mutate(values, {
      onSuccess: () => {
        say(`${person.name} is saved.`);
        onDone();
      },
      onError: form.refuse,
    }),
  );
  return (
    <form noValidate onSubmit={(event) => void submit(event)}>
      <DialogTitle>{person.name}</DialogTitle>
      <DialogContent className={form_.form}>
        {form.problem ? <Caution title="Not saved">{<p>{form.problem}</p>}</Caution> : null}
        <Field form={form} name="role" label="Role" select defaultValue={role} sx={{ mt: 1 }}>
          {ROLE_ITEMS}
        </Field>
        <Controller
          control={form.control}
          name="active"
          render={({ field }) => (
            <FormControlLabel
              label="Is with the crew (otherwise cannot sign in; the name stays in the records)"
              control={
                <Checkbox checked={field.value} onChange={(_event, checked) => field.onChange(checked)} />
              }
            />
          )}
        />
        <Field
          form={form}
          name="password"
          label="New password"
          type="password"
          autoComplete="new-password"
          blankIsNothing
          hint="Leave it blank to keep the present one; a new one signs the person out everywhere"
        />
      </DialogContent>
      <DialogActions>
        <Button onClick={onDone}>Leave it</Button>
        <Button type="submit" variant="contained" color="primary" loading={update.isPending}>
          Save
        </Button>
      </DialogActions>
    </form>
  );
}

export function NewPerson() {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button onClick={() => setOpen(true)}>Add somebody</Button>
      <Dialog open={open} onClose={() => setOpen(false)}>
        <NewPersonForm onDone={() => setOpen(false)} />
      </Dialog>
    </>
  );
}

export function EditPerson({ person }: { person: PersonDto }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button size="small" onClick={() => setOpen(true)} aria-label={`Change ${person.name}`}>
        Change
      </Button>
      <Dialog open={open} onClose={() => setOpen(false)}>
        <EditPersonForm person={person} onDone={() => setOpen(false)} />
      </Dialog>
    </>
  );
}
