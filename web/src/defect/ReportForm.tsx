import MenuItem from '@mui/material/MenuItem';
import { ReportDefectDto, SEVERITIES } from '@yugator/contracts';
import type { DefectDto, MachineRefDto } from '@yugator/contracts';
import { capital } from '@yugator/core';
import { useKept } from '../outbox/useKept.js';
import { waitsWords } from '../outbox/waitsWords.js';
import { Field } from '../form/Field.js';
import { FormDialog } from '../form/FormDialog.js';
import { useDtoForm } from '../form/useDtoForm.js';
import { SEVERITY_WORDS } from '../job/outcomeWords.js';
import { PhotoField } from '../photo/PhotoField.js';
import { useNotice } from '../page/Notice.js';

/** Takes down what is wrong with a machine. */
export function ReportForm({ machine, onDone }: { machine: MachineRefDto; onDone: () => void }) {
  const say = useNotice();
  const form = useDtoForm<ReportDefectDto>(ReportDefectDto, { words: '', severity: 'soon' });
  const report = useKept<DefectDto[], ReportDefectDto>(
    (body) => ({
      method: 'POST',
      path: `/machines/${machine.id}/defects`,
      body,
      typed: {
        title: `${machine.tag} ${machine.name}: a defect`,
        lines: [body.words, SEVERITY_WORDS[body.severity], ...(body.jpeg ? ['with a photo'] : [])],
      },
    }),
    ['jobs', 'machines'],
    (answer) => {
      say(answer ? `${machine.tag}: defect taken down.` : waitsWords(machine.tag));
      onDone();
    },
  );
  const isStop = form.watch('severity') === 'stop';
  return (
    <FormDialog
      title={`${machine.tag} ${machine.name}: a defect`}
      problem={form.problem}
      submitWord="Report it"
      pending={report.isPending}
      onSubmit={form.handleSubmit((values) => report.mutate({ ...values }, { onError: form.refuse }))}
      onLeave={onDone}
    >
      <Field form={form} name="words" label="What is wrong" multiline minRows={2} autoFocus />
      <Field
        form={form}
        name="severity"
        label="How bad it is"
        select
        defaultValue="soon"
        hint={isStop ? 'The machine is taken out of service at once.' : undefined}
      >
        {SEVERITIES.map((key) => (
          <MenuItem key={key} value={key}>
            {capital(SEVERITY_WORDS[key])}
          </MenuItem>
        ))}
      </Field>
      <PhotoField
        of={`the defect of ${machine.tag}`}
        jpeg={form.watch('jpeg') ?? null}
        onChange={(jpeg) => form.setValue('jpeg', jpeg ?? undefined)}
      />
    </FormDialog>
  );
}
