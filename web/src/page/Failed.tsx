import Button from '@mui/material/Button';
import { sentenceOf } from '../api/problem.js';
import { Caution } from './Caution.js';

/** Shown where a screen's facts could not be had. */
export function Failed({ error, again }: { error: unknown; again: () => unknown }) {
  return (
    <Caution title="This could not be loaded">
      <p>{sentenceOf(error)}</p>
      <Button onClick={() => void again()} sx={{ mt: 1 }}>
        Try again
      </Button>
    </Caution>
  );
}
