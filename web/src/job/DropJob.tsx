import Button from '@mui/material/Button';
import type { DropJobDto, JobDto } from '@yugator/contracts';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { sentenceOf } from '../api/problem.js';
import { useWrite } from '../api/useWrite.js';
import { Caution } from '../page/Caution.js';
import form_ from '../form/form.module.css';

/** Puts a job away that will not be done; asks once. */
export function DropJob({ job }: { job: JobDto }) {
  const [asked, setAsked] = useState(false);
  const navigate = useNavigate();
  const drop = useWrite<undefined, DropJobDto>(
    (body) => ({ method: 'POST', path: `/jobs/${job.id}/drop`, body }),
    ['jobs'],
    () => void navigate(`/fleet/${job.machine.id}`),
  );
  if (!asked) {
    return (
      <Button variant="text" onClick={() => setAsked(true)}>
        Put this job away …
      </Button>
    );
  }
  const go = () => drop.mutate({ version: job.version });
  return (
    <div>
      {drop.error ? <Caution title="Not put away">{<p>{sentenceOf(drop.error)}</p>}</Caution> : null}
      <p>The ticks are forgotten and no record is written.</p>
      <div className={form_.acts} style={{ marginTop: 8 }}>
        <Button onClick={go} loading={drop.isPending}>
          Put it away
        </Button>
        <Button variant="text" onClick={() => setAsked(false)}>
          Keep it open
        </Button>
      </div>
    </div>
  );
}
