import type { ArticleDto, UpdatePhotoDto } from '@yugator/contracts';
import { useWrite } from '../api/useWrite.js';
import { useNotice } from '../page/Notice.js';
import { KeptPhoto } from '../photo/KeptPhoto.js';
import styles from './shelf.module.css';

/** What an article looks like, to be taken anew or taken away. It is kept at once, whatever becomes of the form around it. */
export function ArticlePhoto({ article: { id, name, photo } }: { article: ArticleDto }) {
  const say = useNotice();
  const write = useWrite<ArticleDto, UpdatePhotoDto>(
    (body) => ({ method: 'PUT', path: `/articles/${id}/photo`, body }),
    ['shelf'],
    (saved) => say(`${name}: photo ${saved.photo ? 'kept' : 'taken away'}.`),
  );
  return (
    <div className={styles.photo}>
      <KeptPhoto
        path={photo}
        alt={`What it looks like: ${name}`}
        label={`Photo of ${name}`}
        isPending={write.isPending}
        error={write.error}
        onChange={(jpeg) => write.mutate({ jpeg })}
      />
    </div>
  );
}
