import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import type { JobDto, MachineDetailDto, OpenJobDto } from '@yugator/contracts';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { sentenceOf } from '../api/problem.js';
import { useWrite } from '../api/useWrite.js';
import { Caution } from '../page/Caution.js';
import { Empty } from '../page/Empty.js';
import { TapeScale } from '../schedule/HoursTape.js';
import { useIsOneOf } from '../session/useSession.js';
import { todayQueries } from '../today/todayQueries.js';
import { countWords } from '../words/figures.js';
import styles from './machine.module.css';
import { ScheduleItem } from './ScheduleItem.js';

/** Due items are chosen to begin with: that is what the visit is for. */
function dueItems({ lines }: MachineDetailDto): string[] {
  return lines.filter(({ state }) => state === 'overdue' || state === 'ripe').map((line) => line.itemId);
}

function OpenJob({ machine, chosen }: { machine: MachineDetailDto; chosen: readonly string[] }) {
  const navigate = useNavigate();
  const minutes = machine.lines
    .filter((line) => chosen.includes(line.itemId))
    .reduce((sum, line) => sum + line.minutes, 0);
  const open = useWrite<JobDto, OpenJobDto>(
    (body) => ({ method: 'POST', path: '/jobs', body }),
    ['jobs'],
    (job) => void navigate(`/jobs/${job.id}`),
  );
  const begin = () => open.mutate({ machineId: machine.id, itemIds: [...chosen] });
  return (
    <div className={styles.bar}>
      {open.error ? <Caution title="No job opened">{<p>{sentenceOf(open.error)}</p>}</Caution> : null}
      <Button
        variant="contained"
        color="primary"
        size="large"
        disabled={chosen.length === 0}
        loading={open.isPending}
        onClick={begin}
      >
        {chosen.length ? `Open a job with ${countWords(chosen.length, 'item')}` : 'Choose items for a job'}
      </Button>
      {chosen.length ? <span className="soft">About {minutes} minutes by the book</span> : null}
    </div>
  );
}

/** Every item of the machine, worst first, and the way into a job. */
export function Schedule({ machine }: { machine: MachineDetailDto }) {
  const mayWork = useIsOneOf('crewLead', 'mechanic');
  const [changed, setChanged] = useState<readonly string[] | null>(null);
  const today = useQuery(todayQueries.today());
  const openJobId = today.data?.machines.find(({ id }) => id === machine.id)?.openJobId ?? null;
  const known = new Set(machine.lines.map((line) => line.itemId));
  const chosen = (changed ?? dueItems(machine)).filter((id) => known.has(id));
  if (machine.lines.length === 0) {
    return (
      <Empty title="This machine follows no service book yet.">
        <Link to={`/fleet/${machine.id}/details`}>Choose its books under Details</Link>
      </Empty>
    );
  }
  return (
    <>
      <div className={styles.item} style={{ minHeight: 0, border: 0 }} aria-hidden>
        <span />
        <span />
        <span />
        <TapeScale />
      </div>
      <ul className={styles.items}>
        {machine.lines.map((line) => (
          <ScheduleItem
            key={line.itemId}
            line={line}
            machine={machine}
            chosen={chosen.includes(line.itemId)}
            onChoose={
              mayWork && !openJobId
                ? (on) =>
                    setChanged(on ? [...chosen, line.itemId] : chosen.filter((id) => id !== line.itemId))
                : null
            }
          />
        ))}
      </ul>
      {openJobId ? (
        <div className={styles.bar}>
          <Button component={Link} to={`/jobs/${openJobId}`} variant="contained" color="primary" size="large">
            {mayWork ? 'Go on with the open job' : 'Look at the open job'}
          </Button>
        </div>
      ) : mayWork ? (
        <OpenJob machine={machine} chosen={chosen} />
      ) : null}
    </>
  );
}
