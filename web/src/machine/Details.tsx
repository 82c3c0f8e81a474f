import Button from '@mui/material/Button';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { machineFacts, MachineFieldsDto } from '@yugator/contracts';
import type { BookDto, MachineDetailDto, MachineDto, UpdateMachineDto } from '@yugator/contracts';
import { lazy, Suspense, useState } from 'react';
import { Link } from 'react-router';
import { ApiProblem } from '../api/problem.js';
import { useWrite } from '../api/useWrite.js';
import { useDtoForm } from '../form/useDtoForm.js';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import { useNotice } from '../page/Notice.js';
import { useIsOneOf } from '../session/useSession.js';
import { fleetQueries } from './fleetQueries.js';
import { MachineForm } from './MachineForm.js';
import { Overrides } from './Overrides.js';

const OwnItems = lazy(async () => ({ default: (await import('./OwnItems.js')).OwnItems }));

function fieldsOf(machine: MachineDto): MachineFieldsDto {
  return { ...machineFacts(machine), bookIds: machine.bookIds };
}

function EditMachine({ machine, books }: { machine: MachineDto; books: readonly BookDto[] }) {
  const say = useNotice();
  const client = useQueryClient();
  const form = useDtoForm(MachineFieldsDto, fieldsOf(machine));
  const [base, setBase] = useState(machine.version);
  const [isStale, setStale] = useState(false);
  const update = useWrite<MachineDto, UpdateMachineDto>(
    (body) => ({ method: 'PUT', path: `/machines/${machine.id}`, body }),
    ['machines'],
  );
  const refuse = (error: Error) => {
    setStale(error instanceof ApiProblem && error.status === 409);
    form.refuse(error);
  };
  const takeOver = () => {
    const now = client.getQueryData(fleetQueries.one(machine.id).queryKey) ?? machine;
    form.reset(fieldsOf(now));
    setBase(now.version);
    form.clearProblem();
    setStale(false);
  };
  return (
    <MachineForm
      form={form}
      books={books}
      isRegistered
      submitWord="Save"
      pending={update.isPending}
      onSubmit={(values) =>
        update.mutate(
          { ...fieldsOf(machine), ...values, version: base },
          {
            onSuccess: (saved) => {
              form.reset(fieldsOf(saved));
              setBase(saved.version);
              form.clearProblem();
              say(`${saved.tag} is saved.`);
            },
            onError: refuse,
          },
        )
      }
    >
      {isStale ? <Button onClick={takeOver}>Show how it stands now</Button> : null}
    </MachineForm>
  );
}

function Facts({ machine, books }: { machine: MachineDto; books: readonly BookDto[] }) {
  const own = books.filter((book) => machine.bookIds.includes(book.id)).map((book) => book.name);
  return (
    <p>
      In service since {machine.inServiceOn} at {machine.inServiceHours} h,{' '}
      {machine.cameNew ? 'came new' : 'bought used'}. It follows{' '}
      {own.length ? own.join(', ') : 'no service book'}.
    </p>
  );
}

/** What the machine is registered with; the crew lead changes it here. */
export function Details({ machine }: { machine: MachineDetailDto }) {
  const books = useQuery(fleetQueries.books());
  const isLead = useIsOneOf('crewLead');
  if (!books.data) return books.error ? <Failed error={books.error} again={books.refetch} /> : <Loading />;
  return isLead ? (
    <>
      <EditMachine machine={machine} books={books.data} />
      <p style={{ margin: '16px 0' }}>
        <Link to={`/fleet/new?copy=${machine.id}`}>Register another like it</Link>
      </p>
      <Suspense fallback={<Loading rows={2} />}>
        <OwnItems machine={machine} />
      </Suspense>
      <Overrides machine={machine} />
    </>
  ) : (
    <Facts machine={machine} books={books.data} />
  );
}
