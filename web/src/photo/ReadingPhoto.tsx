import Button from '@mui/material/Button';
import { useState } from 'react';
import { PhotoButton } from './PhotoButton.js';
import styles from './readingPhoto.module.css';

interface Props {
  /** whose meter it shows */
  readonly of: string;
  /** base64; null while none is taken */
  readonly jpeg: string | null;
  readonly onChange: (jpeg: string | null) => void;
}

/** A photo to keep with a reading. */
export function ReadingPhoto({ of, jpeg, onChange }: Props) {
  const [fault, setFault] = useState<string | null>(null);
  return (
    <span className={styles.photo}>
      {jpeg === null ? (
        <PhotoButton
          word="Add a photo"
          label={`Photo of the meter: ${of}`}
          onJpeg={onChange}
          onFault={setFault}
        />
      ) : (
        <>
          <img src={`data:image/jpeg;base64,${jpeg}`} alt={`The meter of ${of}`} />
          <Button size="small" onClick={() => onChange(null)} aria-label={`Take the photo away: ${of}`}>
            Take the photo away
          </Button>
        </>
      )}
      {fault ? <span role="alert">{fault}</span> : null}
    </span>
  );
}
