import MenuItem from '@mui/material/MenuItem';
import { useQuery } from '@tanstack/react-query';
import { ReportDefectDto, SEVERITIES } from '@yugator/contracts';
import type { DefectDto, MachineDto } from '@yugator/contracts';
import { useWrite } from '../api/useWrite.js';
import { DialogButton } from '../form/DialogButton.js';
import { Field } from '../form/Field.js';
import { FormDialog } from '../form/FormDialog.js';
import { useDtoForm } from '../form/useDtoForm.js';
import { SEVERITY_WORDS } from '../job/outcomeWords.js';
import { Caution } from '../page/Caution.js';
import { useNotice } from '../page/Notice.js';
import { useIsOneOf, useSession } from '../session/useSession.js';
import { capital } from '../words/capital.js';
import { dayWords } from '../words/dates.js';
import { defectQueries } from './defectQueries.js';

function ReportForm({ machine, onDone }: { machine: MachineDto; onDone: () => void }) {
  const say = useNotice();
  const form = useDtoForm<ReportDefectDto>(ReportDefectDto, { words: '', severity: 'soon' });
  const report = useWrite<DefectDto[], ReportDefectDto>(
    (body) => ({ method: 'POST', path: `/machines/${machine.id}/defects`, body }),
    ['jobs', 'machines'],
    () => {
      say(`${machine.tag}: defect taken down.`);
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
      <Field form={form} name="words" label="What is wrong" multiline minRows={2} />
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
    </FormDialog>
  );
}

/** Open defects of a machine, and the way to report one. They are closed by a job. */
export function Defects({ machine }: { machine: MachineDto }) {
  const { today } = useSession();
  const { data } = useQuery(defectQueries.of(machine.id));
  const mayReport = useIsOneOf('crewLead', 'mechanic', 'operator');
  return (
    <section aria-label="Defects" style={{ marginTop: 16 }}>
      {data?.length ? (
        <Caution title="Open defects" quiet>
          {data.map(({ id, words, severity, foundOn, reportedBy }) => (
            <p key={id}>
              <b>{words}</b>: {SEVERITY_WORDS[severity]}{' '}
              <span className="soft">
                ({reportedBy}, {dayWords(foundOn, today)})
              </span>
            </p>
          ))}
        </Caution>
      ) : null}
      {mayReport ? (
        <DialogButton word="Report a defect" size="small">
          {(close) => <ReportForm machine={machine} onDone={close} />}
        </DialogButton>
      ) : null}
    </section>
  );
}
