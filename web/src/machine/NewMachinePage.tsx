import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { CreateMachineDto } from '@yugator/contracts';
import type { BookDto, MachineDto } from '@yugator/contracts';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { useWrite } from '../api/useWrite.js';
import { useDtoForm } from '../form/useDtoForm.js';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import { useNotice } from '../page/Notice.js';
import { PageHead } from '../page/PageHead.js';
import { useSession } from '../session/useSession.js';
import { fleetQueries } from './fleetQueries.js';
import { MachineForm } from './MachineForm.js';

const EMPTY: Omit<CreateMachineDto, 'inServiceOn'> = {
  tag: '',
  name: '',
  machineClass: 'ridingMower',
  fuel: 'gasoline',
  make: '',
  model: '',
  serial: '',
  shed: '',
  modelYear: null,
  cooling: null,
  cylinders: null,
  enginePower: null,
  warrantyUntil: null,
  warrantyHours: null,
  walkOrder: 0,
  inServiceHours: 0,
  cameNew: true,
  bookIds: [],
};

/** What a machine of the same kind has alike. */
function startOf(like: MachineDto) {
  const { machineClass, make, model, modelYear, fuel, cooling, cylinders, enginePower, shed, bookIds } = like;
  return {
    machineClass,
    make,
    model,
    modelYear,
    fuel,
    cooling,
    cylinders,
    enginePower,
    shed,
    bookIds,
    walkOrder: like.walkOrder + 1,
    copyOfId: like.id,
  };
}

function NewMachine({ books, like }: { books: readonly BookDto[]; like: MachineDto | null }) {
  const { today } = useSession();
  const navigate = useNavigate();
  const say = useNotice();
  const form = useDtoForm<CreateMachineDto>(CreateMachineDto, {
    ...EMPTY,
    ...(like ? startOf(like) : {}),
    inServiceOn: today,
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
  const fleet = useQuery(fleetQueries.list());
  const [search] = useSearchParams();
  const copyId = search.get('copy');
  const like = fleet.data?.find(({ id }) => id === copyId) ?? null;
  const failed = books.error ?? fleet.error;
  return (
    <>
      <PageHead
        name="Register a machine"
        title="Register a machine"
        under={
          like
            ? `As ${like.tag} ${like.name} is: its spec card, seasons, attachments and departures from the book come along.`
            : undefined
        }
      />
      {books.data && fleet.data ? (
        <NewMachine books={books.data} like={like} />
      ) : failed ? (
        <Failed error={failed} again={() => void Promise.all([books.refetch(), fleet.refetch()])} />
      ) : (
        <Loading />
      )}
    </>
  );
}
