import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import type { JobDto } from '@yugator/contracts';
import { followUps } from '@yugator/core';
import type { Sheet } from '@yugator/core';
import { sentenceOf } from '../api/problem.js';
import { useWrite } from '../api/useWrite.js';
import { Caution } from '../page/Caution.js';
import { useNotice } from '../page/Notice.js';
import { jobQueries } from './jobQueries.js';
import styles from './sheet.module.css';

interface Props {
  readonly job: JobDto;
  readonly sheet: Sheet;
}

/** Takes another item into the open job: any of the machine's, first of all what a look of this job asks for. */
export function AddItem({ job, sheet }: Props) {
  const client = useQueryClient();
  const say = useNotice();
  const { data: visit, error } = useQuery(jobQueries.visit(job.machine.id));
  const add = useWrite<JobDto, string>(
    (itemId) => ({ method: 'POST', path: `/jobs/${job.id}/items/${itemId}` }),
    ['jobs'],
    (now) => {
      client.setQueryData(jobQueries.one(job.id).queryKey, now);
      say('Taken into the job; its steps are on the sheet.');
    },
  );
  const chosen = new Set(job.items.map(({ itemId }) => itemId));
  const others = (visit?.lines ?? []).filter(({ itemId }) => !chosen.has(itemId));
  const found = job.steps.flatMap(({ key, found: fields }) => (fields ? [[key, fields] as const] : []));
  const asked = followUps(sheet.steps, new Map(found), visit?.setUp.items ?? [], chosen);
  return (
    <div className={styles.add}>
      {asked.map(({ id, name }) => (
        <p key={id} className={styles.asked}>
          <span>
            What was seen asks for <b>{name}</b>.
          </span>
          <Button size="small" loading={add.isPending} onClick={() => add.mutate(id)}>
            Take it in
          </Button>
        </p>
      ))}
      {others.length ? (
        <TextField
          select
          label="Take another item into the job"
          value=""
          disabled={add.isPending}
          onChange={(event) => add.mutate(event.target.value)}
        >
          {others.map(({ itemId, itemName }) => (
            <MenuItem key={itemId} value={itemId}>
              {itemName}
            </MenuItem>
          ))}
        </TextField>
      ) : null}
      {error || add.error ? (
        <Caution title={add.error ? 'Not taken in' : 'The other items could not be read'}>
          <p>{sentenceOf(add.error ?? error)}</p>
        </Caution>
      ) : null}
    </div>
  );
}
