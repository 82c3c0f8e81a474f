import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import type { MachineDto } from '@yugator/contracts';
import { strongest } from '../schedule/strongest.js';
import { Link } from 'react-router';
import { Empty } from '../page/Empty.js';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import { PageHead } from '../page/PageHead.js';
import { Plate } from '../page/Plate.js';
import table from '../page/table.module.css';
import { standingWords } from '../schedule/dueWords.js';
import { StateMark } from '../schedule/StateShape.js';
import { STATE_WORDS } from '../schedule/stateWords.js';
import { useIsOneOf, useSession } from '../session/useSession.js';
import { countWords, hoursWords } from '../words/figures.js';
import { CLASS_WORDS, FUEL_WORDS, STATUS_WORDS } from './classWords.js';
import { fleetQueries } from './fleetQueries.js';

function FleetRow({ machine, today }: { machine: MachineDto; today: string }) {
  const next = machine.lines[0];
  const state = strongest(machine.lines);
  return (
    <tr>
      <td>
        <Plate tag={machine.tag} to={machine.id} />
      </td>
      <td>
        <b>{machine.name}</b>
        <br />
        <span className="soft">
          {[
            machine.status === 'inService' ? '' : STATUS_WORDS[machine.status],
            CLASS_WORDS[machine.machineClass],
            FUEL_WORDS[machine.fuel],
            `${machine.make} ${machine.model}`.trim(),
          ]
            .filter(Boolean)
            .join(' · ')}
        </span>
      </td>
      <td data-label="Shed:">{machine.shed}</td>
      <td className={table.number} data-label="Life hours:">
        {hoursWords(machine.life)}
      </td>
      <td className={table.number} data-label="Hours a week:">
        {machine.hoursPerWeek === null ? '–' : hoursWords(machine.hoursPerWeek)}
      </td>
      <td>
        <span className={table.state}>
          <StateMark state={state} />
          {STATE_WORDS[state]}
        </span>
      </td>
      <td>
        {next ? next.itemName : 'No service book'}
        <br />
        <span className="soft">{next ? standingWords(next, today) : 'choose one under Details'}</span>
      </td>
    </tr>
  );
}

/** By tag; those that are gone stand last. */
function inOrder(machines: readonly MachineDto[]): MachineDto[] {
  return machines.toSorted((a, b) => Number(a.status === 'retired') - Number(b.status === 'retired'));
}

/** The whole fleet by tag, each machine with its next service. */
export function FleetPage() {
  const { data, error, refetch } = useQuery(fleetQueries.list());
  const { today } = useSession();
  const isLead = useIsOneOf('crewLead');
  if (!data) return error ? <Failed error={error} again={refetch} /> : <Loading />;
  const register = (
    <Button component={Link} to="/fleet/new">
      Register a machine
    </Button>
  );
  return (
    <>
      <PageHead
        name="Fleet"
        title="Fleet"
        under={data.length ? `${countWords(data.length, 'machine')}, by tag` : undefined}
      >
        {data.length ? (
          <Button component={Link} to="/fleet/schedule" variant="text">
            Schedule of all
          </Button>
        ) : null}
        {isLead && data.length ? register : null}
      </PageHead>
      {data.length === 0 ? (
        <Empty title="There is no machine yet.">
          {isLead ? register : <p>The crew lead registers machines.</p>}
        </Empty>
      ) : (
        <table className={table.table}>
          <thead>
            <tr>
              <th>Tag</th>
              <th>Machine</th>
              <th>Shed</th>
              <th className={table.number}>Life hours</th>
              <th className={table.number}>Hours a week</th>
              <th>State</th>
              <th>Next service</th>
            </tr>
          </thead>
          <tbody>
            {inOrder(data).map((machine) => (
              <FleetRow key={machine.id} machine={machine} today={today} />
            ))}
          </tbody>
        </table>
      )}
    </>
  );
}
