import MenuItem from '@mui/material/MenuItem';
import { ChangeStatusDto, MACHINE_STATUSES } from '@yugator/contracts';
import type { MachineDetailDto, MachineStatus } from '@yugator/contracts';
import { useWrite } from '../api/useWrite.js';
import { DayField } from '../form/DayField.js';
import { Field } from '../form/Field.js';
import { FormDialog } from '../form/FormDialog.js';
import { useDtoForm } from '../form/useDtoForm.js';
import { useNotice } from '../page/Notice.js';
import { useSession } from '../session/useSession.js';
import { STATUS_WORDS } from './classWords.js';

/** What a status means for the schedule. */
const MEANING: Record<MachineStatus, string> = {
  inService: 'Works in its seasons and rests between them.',
  laidUp: 'Rests until you say otherwise, whatever its seasons say: storage work counts, hours rest.',
  outOfService: 'Not to be used until it is mended. Its dates go on counting.',
  retired: 'Gone from Today, the round and the schedule. Its history stays.',
};

/** In service or not, since when and why; the history is shown beneath. */
export function StatusForm({ machine, onDone }: { machine: MachineDetailDto; onDone: () => void }) {
  const { today } = useSession();
  const say = useNotice();
  const form = useDtoForm(ChangeStatusDto, {
    status: machine.status,
    since: today,
    reason: '',
    version: machine.version,
  });
  const change = useWrite<MachineDetailDto, ChangeStatusDto>(
    (body) => ({ method: 'POST', path: `/machines/${machine.id}/status`, body }),
    ['machines'],
    (saved) => {
      say(`${saved.tag} is ${STATUS_WORDS[saved.status].toLowerCase()}.`);
      onDone();
    },
  );
  const status = form.watch('status');
  return (
    <FormDialog
      title={`${machine.tag} ${machine.name}: in service or not`}
      problem={form.problem}
      submitWord="Keep"
      pending={change.isPending}
      onSubmit={form.handleSubmit((values) => change.mutate(values, { onError: form.refuse }))}
      onLeave={onDone}
    >
      <Field
        form={form}
        name="status"
        label="Status"
        select
        defaultValue={machine.status}
        hint={MEANING[status]}
      >
        {MACHINE_STATUSES.map((each) => (
          <MenuItem key={each} value={each}>
            {STATUS_WORDS[each]}
          </MenuItem>
        ))}
      </Field>
      <DayField form={form} name="since" label="Since" />
      <Field form={form} name="reason" label="Why" />
      {machine.statusChanges.length ? (
        <ul className="soft" style={{ margin: 0, paddingLeft: 18 }}>
          {machine.statusChanges.map((before, index) => (
            <li key={index}>
              {STATUS_WORDS[before.status]} since {before.since}: {before.reason} ({before.by})
            </li>
          ))}
        </ul>
      ) : null}
    </FormDialog>
  );
}
