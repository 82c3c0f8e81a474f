import Button from '@mui/material/Button';
import type { MachineDetailDto, UpdatePhotoDto } from '@yugator/contracts';
import { useState } from 'react';
import { sentenceOf } from '../api/problem.js';
import { useWrite } from '../api/useWrite.js';
import { Caution } from '../page/Caution.js';
import { useNotice } from '../page/Notice.js';
import { PhotoButton } from '../photo/PhotoButton.js';

/** What the machine looks like, so that nobody goes to the wrong one. */
export function Photo({ machine, mayChange }: { machine: MachineDetailDto; mayChange: boolean }) {
  const say = useNotice();
  const [problem, setProblem] = useState<string | null>(null);
  const write = useWrite<MachineDetailDto, UpdatePhotoDto>(
    (body) => ({ method: 'PUT', path: `/machines/${machine.id}/photo`, body }),
    ['machines'],
    (saved) => say(saved.photo ? `${saved.tag}: photo kept.` : `${saved.tag}: photo taken away.`),
  );
  const fault = problem ?? (write.error ? sentenceOf(write.error) : null);
  return (
    <section aria-label="Photo" style={{ display: 'grid', gap: 8, justifyItems: 'start', marginTop: 16 }}>
      <h2>Photo</h2>
      {machine.photo ? (
        <img
          src={machine.photo}
          alt={`${machine.tag} ${machine.name}`}
          style={{ maxWidth: 'min(100%, 480px)', border: '1px solid var(--line)' }}
        />
      ) : (
        <p className="soft">None yet.</p>
      )}
      {fault ? <Caution title="Not kept">{<p>{fault}</p>}</Caution> : null}
      {mayChange ? (
        <div style={{ display: 'flex', gap: 10 }}>
          <PhotoButton
            word={machine.photo ? 'Another photo' : 'Take or choose a photo'}
            label="Photo of the machine"
            loading={write.isPending}
            onJpeg={(jpeg) => write.mutate({ jpeg })}
            onFault={setProblem}
          />
          {machine.photo ? (
            <Button size="small" onClick={() => write.mutate({ jpeg: null })}>
              Take the photo away
            </Button>
          ) : null}
        </div>
      ) : null}
    </section>
  );
}
