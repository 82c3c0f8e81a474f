import Button from '@mui/material/Button';
import { ChangePasswordDto } from '@yugator/contracts';
import { useWrite } from '../api/useWrite.js';
import { Field } from '../form/Field.js';
import form_ from '../form/form.module.css';
import { useDtoForm } from '../form/useDtoForm.js';
import { Caution } from '../page/Caution.js';
import { useNotice } from '../page/Notice.js';

/** Another password for oneself; it ends one's sign-ins everywhere else. */
export function ChangePassword() {
  const say = useNotice();
  const form = useDtoForm(ChangePasswordDto, { present: '', password: '' });
  const change = useWrite<undefined, ChangePasswordDto>(
    (body) => ({ method: 'PUT', path: '/session/password', body }),
    ['people'],
    () => {
      form.reset({ present: '', password: '' });
      form.clearProblem();
      say('Your password is changed. You are signed out everywhere else.');
    },
  );
  return (
    <form
      className={form_.form}
      style={{ marginTop: 32, maxWidth: 420 }}
      noValidate
      onSubmit={(event) =>
        void form.handleSubmit((values) => change.mutate(values, { onError: form.refuse }))(event)
      }
    >
      <h2>Change your password</h2>
      {form.problem ? <Caution title="Not changed">{<p>{form.problem}</p>}</Caution> : null}
      <Field
        form={form}
        name="present"
        label="Present password"
        type="password"
        autoComplete="current-password"
      />
      <Field
        form={form}
        name="password"
        label="New password"
        type="password"
        autoComplete="new-password"
        hint="At least 12 characters; a short sentence is easy to remember. You are signed out everywhere else."
      />
      <div>
        <Button type="submit" variant="contained" color="primary" loading={change.isPending}>
          Set the new password
        </Button>
      </div>
    </form>
  );
}
