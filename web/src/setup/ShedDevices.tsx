import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { MakeShedDeviceDto } from '@yugator/contracts';
import type { ShedDeviceDto } from '@yugator/contracts';
import { sentenceOf } from '../api/problem.js';
import { useWrite } from '../api/useWrite.js';
import { DialogButton } from '../form/DialogButton.js';
import { Field } from '../form/Field.js';
import { FormDialog } from '../form/FormDialog.js';
import { useDtoForm } from '../form/useDtoForm.js';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import { useNotice } from '../page/Notice.js';
import table from '../page/table.module.css';
import { sessionQueries } from '../session/sessionQueries.js';
import { useSession } from '../session/useSession.js';
import { momentWords } from '../words/dates.js';

function MakeForm({ onDone }: { onDone: () => void }) {
  const say = useNotice();
  const form = useDtoForm(MakeShedDeviceDto, { name: '' });
  const make = useWrite<undefined, MakeShedDeviceDto>(
    (body) => ({ method: 'POST', path: '/shed-devices', body }),
    ['people'],
    () => {
      say('This is a device of the shed now. Sign out, and it asks for names and codes.');
      onDone();
    },
  );
  return (
    <FormDialog
      title="Make this device one of the shed"
      problem={form.problem}
      submitWord="Make it one"
      pending={make.isPending}
      onSubmit={form.handleSubmit((values) => make.mutate({ ...values }, { onError: form.refuse }))}
      onLeave={onDone}
    >
      <p>
        When nobody is in, it shows the names of those who chose a code. They go in with four digits and read,
        make rounds and walk-rounds; nothing else. Do this on the tablet itself.
      </p>
      <Field form={form} name="name" label="What it is called" autoFocus hint="Such as: Tablet at the door" />
    </FormDialog>
  );
}

function Row({ device }: { device: ShedDeviceDto }) {
  const { site, today } = useSession();
  const say = useNotice();
  const { id, name, madeBy, madeAt, isThis } = device;
  const end = useWrite<undefined, undefined>(
    () => ({ method: 'DELETE', path: `/shed-devices/${id}` }),
    ['people'],
    () => say(`${name} is no device of the shed any more.`),
  );
  return (
    <tr>
      <td>
        <b>{name}</b>
        {isThis ? <div className="soft">this one</div> : null}
      </td>
      <td data-label="Made one:">
        {momentWords(madeAt, site.timeZone, today)} by {madeBy}
      </td>
      <td>
        <Button
          size="small"
          loading={end.isPending}
          aria-label={`End: ${name}`}
          onClick={() => end.mutate(undefined, { onError: (error) => say(sentenceOf(error)) })}
        >
          End
        </Button>
      </td>
    </tr>
  );
}

/** Tablets that a shed shares. */
export function ShedDevices() {
  const { data, error, refetch } = useQuery(sessionQueries.shedDevices());
  return (
    <section aria-label="Devices of the shed" style={{ marginTop: 32 }}>
      <h2>Devices of the shed</h2>
      <p className="soft" style={{ marginBottom: 8 }}>
        A tablet that everybody uses: people choose their name and type four digits, which each sets under
        Your sign-in. Readings and walk-rounds only.
      </p>
      {data?.length ? (
        <table className={table.table} style={{ maxWidth: 700, marginBottom: 12 }}>
          <thead>
            <tr>
              <th>Device</th>
              <th>Made one</th>
              <th>
                <span className="visually-hidden">End</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {data.map((device) => (
              <Row key={device.id} device={device} />
            ))}
          </tbody>
        </table>
      ) : error ? (
        <Failed error={error} again={refetch} />
      ) : data ? null : (
        <Loading rows={2} />
      )}
      {data?.some(({ isThis }) => isThis) ? null : (
        <DialogButton word="Make this device one of the shed">
          {(close) => <MakeForm onDone={close} />}
        </DialogButton>
      )}
    </section>
  );
}
