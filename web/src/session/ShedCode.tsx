import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { ChooseShedCodeDto } from '@yugator/contracts';
import { sentenceOf } from '../api/problem.js';
import { useWrite } from '../api/useWrite.js';
import { Field } from '../form/Field.js';
import form_ from '../form/form.module.css';
import { useDtoForm } from '../form/useDtoForm.js';
import { Caution } from '../page/Caution.js';
import { useNotice } from '../page/Notice.js';
import { sessionQueries } from './sessionQueries.js';

const NOTHING = { present: '', code: '' };

/** A code of four digits for the devices that the shed shares. */
export function ShedCode() {
  const say = useNotice();
  const { data } = useQuery(sessionQueries.shedCode());
  const form = useDtoForm(ChooseShedCodeDto, NOTHING);
  const choose = useWrite<undefined, ChooseShedCodeDto>(
    (body) => ({ method: 'PUT', path: '/session/shed-code', body }),
    ['people'],
    () => {
      form.reset(NOTHING);
      form.clearProblem();
      say('Your code is set. Your name stands at the devices of the shed.');
    },
  );
  const forget = useWrite<undefined, undefined>(
    () => ({ method: 'DELETE', path: '/session/shed-code' }),
    ['people'],
    () => say('Your code is taken away.'),
  );
  return (
    <form
      className={form_.form}
      style={{ marginTop: 32, maxWidth: 420 }}
      noValidate
      aria-label="Code for the shed"
      onSubmit={(event) =>
        void form.handleSubmit((values) => choose.mutate({ ...values }, { onError: form.refuse }))(event)
      }
    >
      <h2>Code for the shed</h2>
      <p className="soft">
        Four digits for a tablet that the shed shares: readings and walk-rounds, nothing else.{' '}
        {data?.isSet ? 'You have one.' : 'You have none.'}
      </p>
      {form.problem ? (
        <Caution title="Not set">
          <p>{form.problem}</p>
        </Caution>
      ) : null}
      <Field
        form={form}
        name="present"
        label="Your password, to be sure"
        type="password"
        autoComplete="current-password"
      />
      <Field
        form={form}
        name="code"
        label="Four digits"
        type="password"
        autoComplete="off"
        slotProps={{ htmlInput: { inputMode: 'numeric', maxLength: 4 } }}
      />
      <div className={form_.acts}>
        <Button type="submit" variant="contained" color="primary" loading={choose.isPending}>
          Set the code
        </Button>
        {data?.isSet ? (
          <Button
            loading={forget.isPending}
            onClick={() => forget.mutate(undefined, { onError: (error) => say(sentenceOf(error)) })}
          >
            Take it away
          </Button>
        ) : null}
      </div>
    </form>
  );
}
