import Button from '@mui/material/Button';
import type { MachineDetailDto, UpdatePhotoDto } from '@yugator/contracts';
import { useRef, useState } from 'react';
import { sentenceOf } from '../api/problem.js';
import { useWrite } from '../api/useWrite.js';
import { Caution } from '../page/Caution.js';
import { useNotice } from '../page/Notice.js';
import { asJpeg } from './asJpeg.js';

/** What the machine looks like, so that nobody goes to the wrong one. */
export function Photo({ machine, mayChange }: { machine: MachineDetailDto; mayChange: boolean }) {
  const say = useNotice();
  const input = useRef<HTMLInputElement>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const write = useWrite<MachineDetailDto, UpdatePhotoDto>(
    (body) => ({ method: 'PUT', path: `/machines/${machine.id}/photo`, body }),
    ['machines'],
    (saved) => say(saved.photo ? `${saved.tag}: photo kept.` : `${saved.tag}: photo taken away.`),
  );
  const send = async (file: File | undefined) => {
    if (!file) return;
    const jpeg = await asJpeg(file);
    setProblem(
      jpeg === null ? `${file.name} is no picture that this browser can read. Choose a photo.` : null,
    );
    if (jpeg !== null) write.mutate({ jpeg });
    if (input.current) input.current.value = '';
  };
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
          <Button size="small" loading={write.isPending} onClick={() => input.current?.click()}>
            {machine.photo ? 'Another photo' : 'Take or choose a photo'}
          </Button>
          {machine.photo ? (
            <Button size="small" onClick={() => write.mutate({ jpeg: null })}>
              Take the photo away
            </Button>
          ) : null}
          <input
            ref={input}
            type="file"
            accept="image/*"
            aria-label="Photo of the machine"
            className="visually-hidden"
            tabIndex={-1}
            onChange={(event) => void send(event.target.files?.[0])}
          />
        </div>
      ) : null}
    </section>
  );
}
