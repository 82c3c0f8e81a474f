import { EstimateDefectDto } from '@yugator/contracts';
import type { DefectDto } from '@yugator/contracts';
import { usualMinutes } from '@yugator/core';
import { useWrite } from '../api/useWrite.js';
import { DialogButton } from '../form/DialogButton.js';
import { Field } from '../form/Field.js';
import { FormDialog } from '../form/FormDialog.js';
import { useDtoForm } from '../form/useDtoForm.js';

function EstimateForm({ defect, onDone }: { defect: DefectDto; onDone: () => void }) {
  const form = useDtoForm<EstimateDefectDto>(EstimateDefectDto, { minutes: defect.minutes });
  const write = useWrite<DefectDto, EstimateDefectDto>(
    (body) => ({ method: 'PUT', path: `/defects/${defect.id}/estimate`, body }),
    ['jobs'],
    onDone,
  );
  const usual = usualMinutes(defect.severity);
  return (
    <FormDialog
      title={`${defect.machine.tag}: how long does it take?`}
      problem={form.problem}
      submitWord="Keep it"
      pending={write.isPending}
      onSubmit={form.handleSubmit((values) => write.mutate(values, { onError: form.refuse }))}
      onLeave={onDone}
    >
      <p>{defect.words}</p>
      <Field
        form={form}
        name="minutes"
        label="Minutes of one mechanic"
        hint={
          usual === null
            ? 'While it is only watched, no visit is planned for it.'
            : `Left empty, the plan takes ${usual} min.`
        }
        figure="optional"
        autoFocus
      />
    </FormDialog>
  );
}

/** Says how long mending a defect takes: the plan of visits reckons with it. */
export function EstimateDialog({ defect }: { defect: DefectDto }) {
  const { machine, words, minutes } = defect;
  return (
    <DialogButton
      word={minutes === null ? 'How long?' : `About ${minutes} min`}
      size="small"
      variant="text"
      label={`How long it takes: ${machine.tag}, ${words}`}
    >
      {(close) => <EstimateForm defect={defect} onDone={close} />}
    </DialogButton>
  );
}
