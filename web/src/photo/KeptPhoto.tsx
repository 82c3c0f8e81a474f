import Button from '@mui/material/Button';
import { useState } from 'react';
import { sentenceOf } from '../api/problem.js';
import { Caution } from '../page/Caution.js';
import { PhotoButton } from './PhotoButton.js';

interface Props {
  /** where it is; none where there is no photo */
  readonly path: string | null | undefined;
  /** what it shows, for those who do not see it */
  readonly alt: string;
  /** of the button that takes one */
  readonly label: string;
  readonly isPending: boolean;
  readonly error: Error | null;
  /** a photo to keep, or null to take it away; not given to who may not */
  readonly onChange: ((jpeg: string | null) => void) | null;
}

/** A photo that is kept as soon as it is taken, and can be taken anew or taken away. */
export function KeptPhoto({ path, alt, label, isPending, error, onChange }: Props) {
  const [problem, setProblem] = useState<string | null>(null);
  const fault = problem ?? (error ? sentenceOf(error) : null);
  return (
    <>
      {path ? <img src={path} alt={alt} /> : null}
      {fault ? <Caution title="Not kept">{<p>{fault}</p>}</Caution> : null}
      {onChange ? (
        <div style={{ display: 'flex', flexWrap: 'wrap', gap: 10 }}>
          <PhotoButton
            word={path ? 'Another photo' : 'Add a photo'}
            label={label}
            loading={isPending}
            onJpeg={onChange}
            onFault={setProblem}
          />
          {path ? (
            <Button size="small" onClick={() => onChange(null)}>
              Take it away
            </Button>
          ) : null}
        </div>
      ) : null}
    </>
  );
}
