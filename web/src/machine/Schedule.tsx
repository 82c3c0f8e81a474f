import Button from '@mui/material/Button';
import type { MachineDetailDto } from '@yugator/contracts';
import { Link } from 'react-router';
import { Empty } from '../page/Empty.js';
import { useIsOneOf } from '../session/useSession.js';
import { HourTape } from '../schedule/HourTape.js';
import tape from '../schedule/hourTape.module.css';
import styles from './machine.module.css';
import { ScheduleItem } from './ScheduleItem.js';
import { ScheduleTable } from './ScheduleTable.js';

/** Every item of the machine, worst first, and the way into a job. */
export function Schedule({ machine }: { machine: MachineDetailDto }) {
  const mayWork = useIsOneOf('crewLead', 'mechanic');
  const { openJobId } = machine;
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
                <ScheduleItem key={line.itemId} line={line} machine={machine} scale={scale} width={width} />
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
        <div className={styles.bar}>
          <Button
            component={Link}
            to={`/fleet/${machine.id}/visit`}
            variant="contained"
            color="primary"
            size="large"
          >
            Compose a visit
          </Button>
        </div>
      ) : null}
      <ScheduleTable machine={machine} />
    </>
  );
}
