import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { ConfirmButton } from '../outbox/ConfirmButton.js';
import { outbox } from '../outbox/outbox.js';
import { useOutbox } from '../outbox/useOutbox.js';
import { useSession } from '../session/useSession.js';
import { countWords } from '../words/figures.js';

interface Props {
  readonly open: boolean;
  readonly onStay: () => void;
  readonly onLeave: () => void;
}

/** Asks what becomes of the outbox of somebody who signs out. */
export function LeaveQuestion({ open, onStay, onLeave }: Props) {
  const { person } = useSession();
  const count = useOutbox().length;
  return (
    <Dialog open={open} onClose={onStay}>
      <DialogTitle>{countWords(count, 'entry is', 'entries are')} not with Yugator yet</DialogTitle>
      <DialogContent>
        <p>
          What was typed without signal lies on this device. Kept, it is sent when {person.name} signs in here
          again; nobody else sees it.
        </p>
      </DialogContent>
      <DialogActions sx={{ flexWrap: 'wrap', gap: 1 }}>
        <Button variant="contained" color="primary" onClick={onStay}>
          Stay signed in
        </Button>
        <Button onClick={onLeave}>Keep and sign out</Button>
        <ConfirmButton
          word="Throw away and sign out"
          again="Really throw it away"
          of={countWords(count, 'entry', 'entries')}
          onConfirm={() => void outbox.dropAll(person.id).then(onLeave)}
        />
      </DialogActions>
    </Dialog>
  );
}
