import Button from '@mui/material/Button';
import { useState } from 'react';
import { PhotoButton } from './PhotoButton.js';
import styles from './photoField.module.css';

interface Props {
  /** what the photo is of: "the meter: T-02" */
  readonly of: string;
  /** base64; null while none is taken */
  readonly jpeg: string | null;
  readonly onChange: (jpeg: string | null) => void;
}

/** A photo to send along. */
export function PhotoField({ of, jpeg, onChange }: Props) {
  const [fault, setFault] = useState<string | null>(null);
  return (
    <span className={styles.photo}>
      {jpeg === null ? (
        <PhotoButton word="Add a photo" label={`Photo of ${of}`} onJpeg={onChange} onFault={setFault} />
      ) : (
        <>
          <img src={`data:image/jpeg;base64,${jpeg}`} alt={`Photo of ${of}`} />
          <Button size="small" onClick={() => onChange(null)} aria-label={`Take the photo away: ${of}`}>
            Take the photo away
          </Button>
        </>
      )}
      {fault ? <span role="alert">{fault}</span> : null}
    </span>
  );
}
