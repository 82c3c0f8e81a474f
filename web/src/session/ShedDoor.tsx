import Button from '@mui/material/Button';
import { ShedSignInDto } from '@yugator/contracts';
import type { SessionDto, ShedDoorDto, ShedPersonDto } from '@yugator/contracts';
import { useState } from 'react';
import { useWrite } from '../api/useWrite.js';
import { Field } from '../form/Field.js';
import form_ from '../form/form.module.css';
import { useDtoForm } from '../form/useDtoForm.js';
import { Caution } from '../page/Caution.js';
import styles from './session.module.css';
import { useEnter } from './useEnter.js';

function CodeForm({ person, onBack }: { person: ShedPersonDto; onBack: () => void }) {
  const enter = useEnter();
  const form = useDtoForm(ShedSignInDto, { personId: person.id, code: '' }, 'onSubmit');
  const goIn = useWrite<SessionDto, ShedSignInDto>(
    (body) => ({ method: 'POST', path: '/shed/session', body }),
    [],
    enter,
  );
  return (
    <form
      className={form_.form}
      noValidate
      onSubmit={(event) =>
        void form.handleSubmit((values) => goIn.mutate({ ...values }, { onError: form.refuse }))(event)
      }
    >
      <h1>{person.name}</h1>
      {form.problem ? (
        <Caution title="Not in">
          <p>{form.problem}</p>
        </Caution>
      ) : null}
      <Field
        form={form}
        name="code"
        label="Your four digits"
        type="password"
        autoComplete="off"
        slotProps={{ htmlInput: { inputMode: 'numeric', maxLength: 4 } }}
        autoFocus
      />
      <div className={form_.acts}>
        <Button type="submit" variant="contained" color="primary" size="large" loading={goIn.isPending}>
          Go in
        </Button>
        <Button onClick={onBack}>That is not me</Button>
      </div>
    </form>
  );
}

/** The door of a device that the shed shares: a name, then four digits. */
export function ShedDoor({ door, onPassword }: { door: ShedDoorDto; onPassword: () => void }) {
  const [person, setPerson] = useState<ShedPersonDto | null>(null);
  if (person) return <CodeForm person={person} onBack={() => setPerson(null)} />;
  return (
    <div className={form_.form}>
      <h1>Who is it?</h1>
      <p>{door.device}: readings and walk-rounds. You are out again after ten minutes without use.</p>
      {door.people.length ? (
        <div className={styles.names}>
          {door.people.map((each) => (
            <Button key={each.id} size="large" onClick={() => setPerson(each)}>
              {each.name}
            </Button>
          ))}
        </div>
      ) : (
        <p>Nobody has a code yet. Sign in with your password and choose one under Your sign-in.</p>
      )}
      <div>
        <Button variant="text" onClick={onPassword}>
          Sign in with a password
        </Button>
      </div>
    </div>
  );
}
