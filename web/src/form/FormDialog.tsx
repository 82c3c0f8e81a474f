import Button from '@mui/material/Button';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import type { FormEvent, ReactNode } from 'react';
import { Caution } from '../page/Caution.js';
import styles from './form.module.css';

interface Props {
  readonly title: string;
  /** what is wrong with the form as a whole; null where nothing is */
  readonly problem: string | null;
  readonly problemTitle?: string;
  readonly submitWord: string;
  readonly pending: boolean;
  readonly onSubmit: () => void;
  readonly onLeave: () => void;
  readonly children: ReactNode;
}

/** A form inside a dialog: its question, its fields, what is wrong with it, and the two ways out. */
export function FormDialog({
  title,
  problem,
  problemTitle = 'Not saved',
  submitWord,
  pending,
  onSubmit,
  onLeave,
  children,
}: Props) {
  const submit = (event: FormEvent) => {
    event.preventDefault();
    // A dialog's events bubble to the form that its button may stand in.
    event.stopPropagation();
    if (!pending) onSubmit();
  };
  return (
    <form noValidate onSubmit={submit}>
      <DialogTitle>{title}</DialogTitle>
      <DialogContent className={styles.form}>
        {problem ? (
          <Caution title={problemTitle}>
            <p>{problem}</p>
          </Caution>
        ) : null}
        <div className={styles.dialogFields}>{children}</div>
      </DialogContent>
      <DialogActions>
        <Button onClick={onLeave}>Leave it</Button>
        <Button type="submit" variant="contained" color="primary" loading={pending}>
          {submitWord}
        </Button>
      </DialogActions>
    </form>
  );
}
