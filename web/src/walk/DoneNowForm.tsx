import Button from '@mui/material/Button';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { DoneNowDto } from '@yugator/contracts';
import type { RecordKeptDto } from '@yugator/contracts';
import { DayField } from '../form/DayField.js';
import { Field } from '../form/Field.js';
import { useDtoForm } from '../form/useDtoForm.js';
import form_ from '../form/form.module.css';
import { useKept } from '../outbox/useKept.js';
import { waitsWords } from '../outbox/waitsWords.js';
import { Caution } from '../page/Caution.js';
import { useNotice } from '../page/Notice.js';
import { useSession } from '../session/useSession.js';
import { dayWords } from '../words/dates.js';
import { hoursWords } from '../words/figures.js';
import type { DoneNowLine, DoneNowMachine } from './doneNowLine.js';
import { useUndo } from './useUndo.js';
import styles from './walk.module.css';

interface Props {
  readonly machine: DoneNowMachine;
  readonly lines: readonly DoneNowLine[];
  readonly onDone: () => void;
}

/** The day and the figure, as they were typed. */
function doneLines({ doneOn, shown }: DoneNowDto, today: string): string[] {
  return [`on ${dayWords(doneOn, today)}${typeof shown === 'number' ? `, ${hoursWords(shown)} h` : ''}`];
}

/** The lines that may be done now, each with its press; the day and the figure stand for all. */
export function DoneNowForm({ machine, lines, onDone }: Props) {
  const { today } = useSession();
  const offerUndo = useUndo();
  const say = useNotice();
  const form = useDtoForm<DoneNowDto>(DoneNowDto, { itemId: '', doneOn: today });
  const keep = useKept<RecordKeptDto, { fields: DoneNowDto; name: string }>(
    ({ fields, name }) => ({
      method: 'POST',
      path: `/machines/${machine.id}/done`,
      body: fields,
      typed: { title: `${machine.tag} ${machine.name}: done`, lines: [name, ...doneLines(fields, today)] },
    }),
    ['jobs', 'readings', 'machines'],
  );
  const done = ({ itemId, itemName }: DoneNowLine) => {
    if (keep.isPending) return;
    form.setValue('itemId', itemId);
    void form.handleSubmit((fields) =>
      keep.mutate(
        { fields: { ...fields }, name: itemName },
        {
          onSuccess: (answer) => {
            if (answer) offerUndo(`${machine.tag}, ${itemName}: done.`, answer.jobId);
            else say(waitsWords(`${machine.tag}, ${itemName}`));
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
