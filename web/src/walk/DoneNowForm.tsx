import Button from '@mui/material/Button';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { DoneNowDto } from '@yugator/contracts';
import type { RecordKeptDto } from '@yugator/contracts';
import { useWrite } from '../api/useWrite.js';
import { DayField } from '../form/DayField.js';
import { Field } from '../form/Field.js';
import { useDtoForm } from '../form/useDtoForm.js';
import form_ from '../form/form.module.css';
import { Caution } from '../page/Caution.js';
import { useSession } from '../session/useSession.js';
import { hoursWords } from '../words/figures.js';
import type { DoneNowLine, DoneNowMachine } from './doneNowLine.js';
import { useUndo } from './useUndo.js';
import styles from './walk.module.css';

interface Props {
  readonly machine: DoneNowMachine;
  readonly lines: readonly DoneNowLine[];
  readonly onDone: () => void;
}

/** The lines that may be done now, each with its press; the day and the figure stand for all. */
export function DoneNowForm({ machine, lines, onDone }: Props) {
  const { today } = useSession();
  const offerUndo = useUndo();
  const form = useDtoForm<DoneNowDto>(DoneNowDto, { itemId: '', doneOn: today });
  const keep = useWrite<RecordKeptDto, { fields: DoneNowDto; name: string }>(
    ({ fields }) => ({ method: 'POST', path: `/machines/${machine.id}/done`, body: fields }),
    ['jobs', 'readings', 'machines'],
  );
  const done = ({ itemId, itemName }: DoneNowLine) => {
    if (keep.isPending) return;
    form.setValue('itemId', itemId);
    void form.handleSubmit((fields) =>
      keep.mutate(
        { fields: { ...fields }, name: itemName },
        {
          onSuccess: ({ jobId }) => {
            offerUndo(`${machine.tag}, ${itemName}: done.`, jobId);
            onDone();
          },
          onError: form.refuse,
        },
      ),
    )();
  };
  return (
    <>
      <DialogTitle>
        {machine.tag} {machine.name}: done
      </DialogTitle>
      <DialogContent className={form_.form}>
        {form.problem ? (
          <Caution title="Not kept">
            <p>{form.problem}</p>
          </Caution>
        ) : null}
        <ul className={styles.rows}>
          {lines.map((line) => (
            <li key={line.itemId} className={styles.line}>
              <b>{line.itemName}</b>
              <Button
                variant="contained"
                color="primary"
                loading={keep.isPending && keep.variables.fields.itemId === line.itemId}
                onClick={() => done(line)}
                aria-label={`Done: ${line.itemName}`}
              >
                Done
              </Button>
            </li>
          ))}
        </ul>
        <div className={form_.dialogFields}>
          <DayField form={form} name="doneOn" label="Day" />
          <Field
            form={form}
            name="shown"
            label="Hours on the meter, if you read them"
            figure="optional"
            hint={`Without them it counts from ${hoursWords(machine.life)} h, the last reading`}
          />
        </div>
      </DialogContent>
      <DialogActions>
        <Button onClick={onDone}>Leave it</Button>
      </DialogActions>
    </>
  );
}
