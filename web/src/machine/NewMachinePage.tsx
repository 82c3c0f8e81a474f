import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { CreateMachineDto } from '@yugator/contracts';
import type { BookDto, MachineDto } from '@yugator/contracts';
import { Link, useNavigate } from 'react-router';
import { useWrite } from '../api/useWrite.js';
import { useDtoForm } from '../form/useDtoForm.js';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import { useNotice } from '../page/Notice.js';
import { PageHead } from '../page/PageHead.js';
import { useSession } from '../session/useSession.js';
import { fleetQueries } from './fleetQueries.js';
import { MachineForm } from './MachineForm.js';

function NewMachine({ books }: { books: readonly BookDto[] }) {
  const { today } = useSession();
  const navigate = useNavigate();
  const say = useNotice();
  const form = useDtoForm(CreateMachineDto, {
    ...{ tag: '', name: '', machineClass: 'ridingMower', fuel: 'gasoline', make: '', model: '', shed: '' },
    ...{ walkOrder: 0, inServiceOn: today, inServiceHours: 0, cameNew: true, bookIds: [] },
  });
  const create = useWrite<MachineDto, CreateMachineDto>(
    (body) => ({ method: 'POST', path: '/machines', body }),
    ['machines', 'readings'],
  );
  return (
    <MachineForm
      form={form}
      books={books}
      isRegistered={false}
      submitWord="Register"
      pending={create.isPending}
      onSubmit={(values) =>
        create.mutate(values, {
          onSuccess: (machine) => {
            say(`${machine.tag} is registered.`);
            void navigate(`/fleet/${machine.id}`);
          },
          onError: form.refuse,
        })
      }
    >
      <Button component={Link} to="/fleet">
        Leave it
      </Button>
    </MachineForm>
  );
}

export function NewMachinePage() {
  const books = useQuery(fleetQueries.books());
  return (
    <>
      <PageHead name="Register a machine" title="Register a machine" />
      {books.data ? (
        <NewMachine books={books.data} />
      ) : books.error ? (
        <Failed error={books.error} again={books.refetch} />
      ) : (
        <Loading />
      )}
    </>
  );
}
