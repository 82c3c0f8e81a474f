import { useQuery } from '@tanstack/react-query';
import type { KnownLifeDto, MachineDetailDto } from '@yugator/contracts';
import { Link, useParams } from 'react-router';
import { fleetQueries } from '../machine/fleetQueries.js';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import { PageHead } from '../page/PageHead.js';
import { Plate } from '../page/Plate.js';
import { useIsOneOf } from '../session/useSession.js';
import styles from './paperLog.module.css';
import { PaperGrid } from './PaperGrid.js';
import { paperQueries } from './paperQueries.js';

function Known({ machine, known }: { machine: MachineDetailDto; known: KnownLifeDto[] }) {
  const isLead = useIsOneOf('crewLead');
  if (!isLead) return <p>The crew lead takes over what was kept on paper.</p>;
  if (machine.lines.length === 0)
    return (
      <p>
        This machine follows no service book yet.{' '}
        <Link to={`/fleet/${machine.id}/details`}>Choose its books first.</Link>
      </p>
    );
  return <PaperGrid machine={machine} known={known} />;
}

/** Takes over a machine's past services from paper, row by row. */
export function PaperLogPage() {
  const { machineId = '' } = useParams();
  const machine = useQuery(fleetQueries.one(machineId));
  const known = useQuery(paperQueries.known(machineId));
  const error = machine.error ?? known.error;
  if (!machine.data || !known.data) {
    const again = () => Promise.all([machine.refetch(), known.refetch()]);
    return error ? <Failed error={error} again={again} /> : <Loading />;
  }
  const { tag, name } = machine.data;
  return (
    <>
      <PageHead
        name={`Paper log of ${tag}`}
        title={
          <span className={styles.title}>
            <Plate tag={tag} to={machineId} /> {name}: from paper
          </span>
        }
        under="Past services as the paper has them. They draw nothing from the shelf; each is marked as from paper."
      />
      <Known machine={machine.data} known={known.data} />
    </>
  );
}
