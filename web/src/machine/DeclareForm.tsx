import { DeclareDto } from '@yugator/contracts';
import type { DueLineDto, KeepPaperLogDto, MachineDto } from '@yugator/contracts';
import { useWrite } from '../api/useWrite.js';
import { DayField } from '../form/DayField.js';
import { Field } from '../form/Field.js';
import { FormDialog } from '../form/FormDialog.js';
import { useDtoForm } from '../form/useDtoForm.js';
import { useNotice } from '../page/Notice.js';
import { useSession } from '../session/useSession.js';
import { hoursWords } from '../words/figures.js';

interface Props {
  readonly line: DueLineDto;
  readonly machine: MachineDto;
  readonly onDone: () => void;
}

/** What is said of an item that has a record already is one more record, from paper: the latest of them counts, and it can be voided. */
function paperOf({ itemId, doneOn, life, note = '' }: DeclareDto): KeepPaperLogDto {
  return { rows: [{ doneOn, life, note, itemIds: [itemId] }] };
}

/** Asks when an item was last done. */
export function DeclareForm({ line, machine, onDone }: Props) {
  const { today } = useSession();
  const say = useNotice();
  const isOnRecord = line.baseline.kind === 'completion';
  const form = useDtoForm(DeclareDto, { itemId: line.itemId, doneOn: today, life: machine.life, note: '' });
  const declare = useWrite<unknown, DeclareDto>(
    (body) =>
      isOnRecord
        ? { method: 'POST', path: `/machines/${machine.id}/paper-log`, body: paperOf(body) }
        : { method: 'POST', path: `/machines/${machine.id}/declarations`, body },
    ['machines', 'jobs'],
    () => {
      say(`${line.itemName}: noted.`);
      onDone();
    },
  );
  return (
    <FormDialog
      title={`${machine.tag}, ${line.itemName}: when was it last done?`}
      problem={form.problem}
      submitWord="Keep"
      pending={declare.isPending}
      onSubmit={form.handleSubmit((values) => declare.mutate(values, { onError: form.refuse }))}
      onLeave={onDone}
    >
      <p className="soft">
        From the calendar, the filter or the paper record. If nobody knows, do it in a job instead.
      </p>
      <DayField form={form} name="doneOn" label="Day" />
      <Field
        form={form}
        name="life"
        label="Life hours then"
        figure
        hint={`It has run ${hoursWords(machine.life)} h by now`}
      />
      <Field form={form} name="note" label="Where this is known from" />
    </FormDialog>
  );
}
