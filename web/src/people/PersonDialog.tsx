import MenuItem from '@mui/material/MenuItem';
import { CreatePersonDto, ROLES, UpdatePersonDto } from '@yugator/contracts';
import type { PersonDto } from '@yugator/contracts';
import { useWrite } from '../api/useWrite.js';
import { DialogButton } from '../form/DialogButton.js';
import { CheckField } from '../form/CheckField.js';
import { Field } from '../form/Field.js';
import { FormDialog } from '../form/FormDialog.js';
import { useDtoForm } from '../form/useDtoForm.js';
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
    (person) => {
      say(`${person.name} can sign in now.`);
      onDone();
    },
  );
  return (
    <FormDialog
      title="Somebody new"
      problem={form.problem}
      submitWord="Add"
      pending={create.isPending}
      onSubmit={form.handleSubmit((values) => create.mutate(values, { onError: form.refuse }))}
      onLeave={onDone}
    >
      <Field form={form} name="name" label="Name" autoFocus autoComplete="off" />
      <Field form={form} name="role" label="Role" select defaultValue="mechanic">
        {ROLE_ITEMS}
      </Field>
      <Field
        form={form}
        name="password"
        label="First password"
        type="password"
        autoComplete="new-password"
        hint="At least 12 characters; a short sentence is easy to remember"
      />
    </FormDialog>
  );
}

function EditPersonForm({ person, onDone }: { person: PersonDto; onDone: () => void }) {
  const say = useNotice();
  const { role, active, version } = person;
  const form = useDtoForm(UpdatePersonDto, { role, active, version });
  const update = useWrite<PersonDto, UpdatePersonDto>(
    (body) => ({ method: 'PUT', path: `/people/${person.id}`, body }),
    ['people'],
    () => {
      say(`${person.name} is saved.`);
      onDone();
    },
  );
  return (
    <FormDialog
      title={person.name}
      problem={form.problem}
      submitWord="Save"
      pending={update.isPending}
      onSubmit={form.handleSubmit((values) => update.mutate(values, { onError: form.refuse }))}
      onLeave={onDone}
    >
      <Field form={form} name="role" label="Role" select defaultValue={role}>
        {ROLE_ITEMS}
      </Field>
      <CheckField
        form={form}
        name="active"
        label="Is with the crew (otherwise cannot sign in; the name stays in the records)"
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
    </FormDialog>
  );
}

export function NewPerson() {
  return <DialogButton word="Add somebody">{(close) => <NewPersonForm onDone={close} />}</DialogButton>;
}

export function EditPerson({ person }: { person: PersonDto }) {
  return (
    <DialogButton word="Change" size="small" label={`Change ${person.name}`}>
      {(close) => <EditPersonForm person={person} onDone={close} />}
    </DialogButton>
  );
}
