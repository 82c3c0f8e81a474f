import Button from '@mui/material/Button';
import { Link } from 'react-router';
import { PageHead } from '../page/PageHead.js';
import { FleetSchedule } from './FleetSchedule.js';

/** The schedule of the whole fleet. */
export function FleetSchedulePage() {
  return (
    <>
      <PageHead name="Schedule" title="Schedule of the fleet">
        <Button component={Link} to="/fleet" variant="text">
          Machines
        </Button>
      </PageHead>
      <FleetSchedule />
    </>
  );
}
