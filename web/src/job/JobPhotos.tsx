import TextField from '@mui/material/TextField';
import { useQueryClient } from '@tanstack/react-query';
import type { AddJobPhotoDto, JobDto } from '@yugator/contracts';
import { useState } from 'react';
import { sentenceOf } from '../api/problem.js';
import { useWrite } from '../api/useWrite.js';
import { Caution } from '../page/Caution.js';
import { PhotoButton } from '../photo/PhotoButton.js';
import { useIsOneOf } from '../session/useSession.js';
import { jobQueries } from './jobQueries.js';
import styles from './jobPhotos.module.css';

/** Photos of a job: what was found, and how it looks now. */
export function JobPhotos({ job }: { job: JobDto }) {
  const client = useQueryClient();
  const mayAdd = useIsOneOf('crewLead', 'mechanic');
  const [caption, setCaption] = useState('');
  const [fault, setFault] = useState<string | null>(null);
  const add = useWrite<JobDto, AddJobPhotoDto>(
    (body) => ({ method: 'POST', path: `/jobs/${job.id}/photos`, body }),
    [],
    (now) => {
      client.setQueryData(jobQueries.one(job.id).queryKey, now);
      setCaption('');
    },
  );
  const problem = fault ?? (add.error ? sentenceOf(add.error) : null);
  if (!mayAdd && job.photos.length === 0) return null;
  return (
    <section aria-label="Photos" className={styles.photos}>
      <h2>Photos</h2>
      {job.photos.length ? (
        <ul>
          {job.photos.map(({ id, path, caption: beneath, by }) => (
            <li key={id}>
              <a href={path} target="_blank" rel="noreferrer">
                <img src={path} alt={beneath || 'Photo of the job'} />
              </a>
              <span className="soft">
                {beneath ? `${beneath}, ` : ''}
                {by}
              </span>
            </li>
          ))}
        </ul>
      ) : null}
      {problem ? <Caution title="Not kept">{<p>{problem}</p>}</Caution> : null}
      {mayAdd ? (
        <div className={styles.add}>
          <TextField
            fullWidth={false}
            label="What it shows"
            value={caption}
            onChange={(event) => setCaption(event.target.value)}
            slotProps={{ htmlInput: { maxLength: 200 } }}
          />
          <PhotoButton
            word="Add a photo"
            label="Photo of the job"
            loading={add.isPending}
            onJpeg={(jpeg) => add.mutate({ jpeg, caption })}
            onFault={setFault}
          />
        </div>
      ) : null}
    </section>
  );
}
