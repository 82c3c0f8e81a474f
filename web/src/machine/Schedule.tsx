import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import type { JobDto, MachineDetailDto, OpenJobDto } from '@yugator/contracts';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { sentenceOf } from '../api/problem.js';
import { useWrite } from '../api/useWrite.js';
import { Caution } from '../page/Caution.js';
import { Empty } from '../page/Empty.js';
import { useIsOneOf } from '../session/useSession.js';
import { todayQueries } from '../today/todayQueries.js';
import { countWords } from '../words/figures.js';
import { HourTape } from './HourTape.js';
import tape from './hourTape.module.css';
import styles from './machine.module.css';
import { ScheduleItem } from './ScheduleItem.js';
import { ScheduleTable } from './ScheduleTable.js';

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
      <HourTape machine={machine}>
        {(scale, width) => (
          <>
            <ul className={tape.rows}>
              {machine.lines.map((line) => (
                <ScheduleItem
                  key={line.itemId}
                  line={line}
                  machine={machine}
                  scale={scale}
                  width={width}
                  chosen={chosen.includes(line.itemId)}
                  onChoose={
                    mayWork && !openJobId
                      ? (on) =>
                          setChanged(
                            on ? [...chosen, line.itemId] : chosen.filter((id) => id !== line.itemId),
                          )
                      : null
                  }
                />
              ))}
            </ul>
            <div className={tape.legend} aria-hidden>
              <span>notch: done</span>
              <span>flag: due by hours</span>
              <span>round tag: due by date, with the hours it may fall on</span>
              <span>heavy line: used up, thin line: left</span>
            </div>
          </>
        )}
      </HourTape>
      {openJobId ? (
        <div className={styles.bar}>
          <Button component={Link} to={`/jobs/${openJobId}`} variant="contained" color="primary" size="large">
            {mayWork ? 'Go on with the open job' : 'Look at the open job'}
          </Button>
        </div>
      ) : mayWork ? (
        <OpenJob machine={machine} chosen={chosen} />
      ) : null}
      <ScheduleTable machine={machine} />
    </>
  );
}
