import type { MachineDetailDto, UpdateAccessPhotoDto } from '@yugator/contracts';
import { capital, cardAccesses } from '@yugator/core';
import { useWrite } from '../api/useWrite.js';
import { useNotice } from '../page/Notice.js';
import { KeptPhoto } from '../photo/KeptPhoto.js';
import styles from './specCard.module.css';

interface Props {
  readonly machine: MachineDetailDto;
  readonly mayChange: boolean;
}

function AccessPhoto({ machine, mayChange, access, words }: Props & { access: string; words: string }) {
  const say = useNotice();
  const write = useWrite<MachineDetailDto, UpdateAccessPhotoDto>(
    (body) => ({ method: 'PUT', path: `/machines/${machine.id}/access-photos`, body }),
    ['machines', 'jobs'],
    (saved) => {
      const isKept = saved.accessPhotos.some((photo) => photo.access === access);
      say(`${machine.tag}, ${words}: photo ${isKept ? 'kept' : 'taken away'}.`);
    },
  );
  const path = machine.accessPhotos.find((photo) => photo.access === access)?.path;
  return (
    <figure className={styles.accessPhoto}>
      <figcaption>{capital(words)}</figcaption>
      <KeptPhoto
        path={path}
        alt={`How it is opened: ${words}`}
        label={`Photo of ${words}`}
        isPending={write.isPending}
        error={write.error}
        onChange={mayChange ? (jpeg) => write.mutate({ access, jpeg }) : null}
      />
    </figure>
  );
}

/** What has to be opened on the machine, as somebody took it: the sheet shows it at the step. */
export function AccessPhotos({ machine, mayChange }: Props) {
  const all = cardAccesses(machine.spec);
  const shown = mayChange
    ? all
    : all.filter(({ name }) => machine.accessPhotos.some(({ access }) => access === name));
  if (shown.length === 0) return null;
  return (
    <section aria-label="Photos of what is opened">
      <h2>What is opened, in photos</h2>
      <div className={styles.accessPhotos}>
        {shown.map(({ name, words }) => (
          <AccessPhoto key={name} machine={machine} mayChange={mayChange} access={name} words={words} />
        ))}
      </div>
    </section>
  );
}
