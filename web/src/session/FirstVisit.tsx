import Button from '@mui/material/Button';
import { FirstCrewLeadDto } from '@yugator/contracts';
import type { SessionDto } from '@yugator/contracts';
import { useEffect } from 'react';
import { useWrite } from '../api/useWrite.js';
import { Field } from '../form/Field.js';
import form_ from '../form/form.module.css';
import { useDtoForm } from '../form/useDtoForm.js';
import { Caution } from '../page/Caution.js';
import { useEnter } from './useEnter.js';

/** The set-up code of the link that was printed at the start: `#set-up=7KM2-QX9D`. */
function codeOf(hash: string): string {
  return /^#set-up=([\w-]+)$/.exec(hash)?.[1] ?? '';
}

/** The first visitor of an empty Yugator names the site and becomes its crew lead. */
export function FirstVisit() {
  const timeZone = Intl.DateTimeFormat().resolvedOptions().timeZone;
  const form = useDtoForm(FirstCrewLeadDto, {
    setUpCode: codeOf(location.hash),
    siteName: '',
    timeZone,
    name: '',
    password: '',
  });
  const enter = useEnter();
  const create = useWrite<SessionDto, FirstCrewLeadDto>(
    (body) => ({ method: 'POST', path: '/first-crew-lead', body }),
    [],
  );
  useEffect(() => {
    document.title = 'Welcome · Yugator';
  }, []);
  return (
    <form
      className={form_.form}
      noValidate
      onSubmit={(event) =>
        void form.handleSubmit((values) => create.mutate(values, { onSuccess: enter, onError: form.refuse }))(
          event,
        )
      }
    >
      <div>
        <h1>Whose machines are these?</h1>
        <p className="soft">You become the crew lead. Everybody else gets a sign-in from you, under Setup.</p>
      </div>
      {form.problem ? <Caution title="Not begun">{<p>{form.problem}</p>}</Caution> : null}
      <Field
        form={form}
        name="setUpCode"
        label="Set-up code"
        hint="It stands where Yugator was started (./start --empty)"
        autoComplete="off"
        slotProps={{ htmlInput: { autoCapitalize: 'characters', spellCheck: false } }}
      />
      <Field form={form} name="siteName" label="Site or crew" hint="Such as Larkmere Parks" autoFocus />
      <Field form={form} name="timeZone" label="Time zone" hint="Days begin and end by its clock" />
      <Field form={form} name="name" label="Your name" autoComplete="username" />
      <Field
        form={form}
        name="password"
        label="Password"
        type="password"
        autoComplete="new-password"
        hint="At least 12 characters; a short sentence is easy to remember"
      />
      <div className={form_.acts}>
        <Button type="submit" variant="contained" color="primary" loading={create.isPending}>
          Begin
        </Button>
      </div>
    </form>
  );
}
