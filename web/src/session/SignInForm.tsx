import Button from '@mui/material/Button';
import { SignInDto } from '@yugator/contracts';
import type { SessionDto } from '@yugator/contracts';
import { useEffect } from 'react';
import { useWrite } from '../api/useWrite.js';
import { CheckField } from '../form/CheckField.js';
import { Field } from '../form/Field.js';
import form_ from '../form/form.module.css';
import { useDtoForm } from '../form/useDtoForm.js';
import { Caution } from '../page/Caution.js';
import { useEnter } from './useEnter.js';

export function SignInForm({ isDemonstration }: { isDemonstration: boolean }) {
  const form = useDtoForm(SignInDto, { name: '', password: '', isOwnDevice: false });
  const enter = useEnter();
  const signIn = useWrite<SessionDto, SignInDto>((body) => ({ method: 'POST', path: '/session', body }), []);
  useEffect(() => {
    document.title = 'Sign in · Yugator';
  }, []);
  return (
    <form
      className={form_.form}
      noValidate
      onSubmit={(event) =>
        void form.handleSubmit((values) => signIn.mutate(values, { onSuccess: enter, onError: form.refuse }))(
          event,
        )
      }
    >
      <h1>Sign in</h1>
      {form.problem ? <Caution title="Not signed in">{<p>{form.problem}</p>}</Caution> : null}
      <Field form={form} name="name" label="Name" autoComplete="username" autoFocus />
      <Field form={form} name="password" label="Password" type="password" autoComplete="current-password" />
      <CheckField form={form} name="isOwnDevice" label="This device is mine alone: stay signed in" />
      <div className={form_.acts}>
        <Button type="submit" variant="contained" color="primary" loading={signIn.isPending}>
          Sign in
        </Button>
      </div>
      {isDemonstration ? (
        <p className="soft">
          This is the demonstration crew. Its sign-ins were printed when Yugator was started.
        </p>
      ) : null}
    </form>
  );
}
