import Button from '@mui/material/Button';
import type { ArticleDto, UpdatePhotoDto } from '@yugator/contracts';
import { useState } from 'react';
import { sentenceOf } from '../api/problem.js';
import { useWrite } from '../api/useWrite.js';
import { Caution } from '../page/Caution.js';
import { useNotice } from '../page/Notice.js';
import { PhotoButton } from '../photo/PhotoButton.js';
import styles from './shelf.module.css';

/** What an article looks like, to be taken anew or taken away. It is kept at once, whatever becomes of the form around it. */
export function ArticlePhoto({ article: { id, name, photo } }: { article: ArticleDto }) {
  const say = useNotice();
  const [problem, setProblem] = useState<string | null>(null);
  const write = useWrite<ArticleDto, UpdatePhotoDto>(
    (body) => ({ method: 'PUT', path: `/articles/${id}/photo`, body }),
    ['shelf'],
    (saved) => say(`${name}: photo ${saved.photo ? 'kept' : 'taken away'}.`),
  );
  const fault = problem ?? (write.error ? sentenceOf(write.error) : null);
  return (
    <div className={styles.photo}>
      {photo ? <img src={photo} alt={`What it looks like: ${name}`} /> : null}
      {fault ? <Caution title="Not kept">{<p>{fault}</p>}</Caution> : null}
      <span>
        <PhotoButton
          word={photo ? 'Another photo' : 'Add a photo'}
          label={`Photo of ${name}`}
          loading={write.isPending}
          onJpeg={(jpeg) => write.mutate({ jpeg })}
          onFault={setProblem}
        />{' '}
        {photo ? (
          <Button size="small" onClick={() => write.mutate({ jpeg: null })}>
            Take it away
          </Button>
        ) : null}
      </span>
    </div>
  );
}
