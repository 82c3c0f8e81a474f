import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { ParticipationDto, UpdateParticipationDto } from '@yugator/contracts';
import type { MachineDetailDto, SeasonsDto } from '@yugator/contracts';
import { useFieldArray } from 'react-hook-form';
import { useWrite } from '../api/useWrite.js';
import { Field } from '../form/Field.js';
import { useDtoForm } from '../form/useDtoForm.js';
import { Caution } from '../page/Caution.js';
import { useNotice } from '../page/Notice.js';

/** A part in a season whose hours nobody has typed yet. */
function partIn(seasonId: string): ParticipationDto {
  return { ...Object.assign(new ParticipationDto(), { seasonId }) };
}

/** Says in which seasons a machine works, and how many hours a week. */
export default function ParticipationForm({
  machine,
  seasons,
}: { machine: MachineDetailDto } & Pick<SeasonsDto, 'seasons'>) {
  const say = useNotice();
  const form = useDtoForm(UpdateParticipationDto, {
    participation: machine.participation.map(({ seasonId, hoursPerWeek }) => ({ seasonId, hoursPerWeek })),
    version: machine.version,
  });
  const parts = useFieldArray({ control: form.control, name: 'participation' });
  const update = useWrite<MachineDetailDto, UpdateParticipationDto>(
    (body) => ({ method: 'PUT', path: `/machines/${machine.id}/seasons`, body }),
    ['machines', 'seasons'],
    ({ tag, participation, version }) => {
      form.reset({ participation, version });
      form.clearProblem();
      say(`${tag}: seasons saved.`);
    },
  );
  return (
    <form
      noValidate
      style={{ display: 'grid', gap: 8 }}
      onSubmit={(event) =>
        void form.handleSubmit((typed) => update.mutate(typed, { onError: form.refuse }))(event)
      }
    >
      {form.problem ? <Caution title="Not saved">{<p>{form.problem}</p>}</Caution> : null}
      {seasons.map(({ id, name }) => {
        const index = parts.fields.findIndex(({ seasonId }) => seasonId === id);
        return (
          <div key={id} style={{ display: 'flex', flexWrap: 'wrap', gap: 12, alignItems: 'center' }}>
            <FormControlLabel
              label={name}
              sx={{ minWidth: 180 }}
              control={
                <Checkbox
                  checked={index >= 0}
                  onChange={(_event, on) => (on ? parts.append(partIn(id)) : parts.remove(index))}
                />
              }
            />
            {index < 0 ? null : (
              <Field
                key={parts.fields[index]?.id}
                form={form}
                name={`participation.${index}.hoursPerWeek`}
                fullWidth={false}
                label={`Hours a week in ${name}`}
                figure
              />
            )}
          </div>
        );
      })}
      <div>
        <Button type="submit" variant="contained" color="primary" loading={update.isPending}>
          Save its seasons
        </Button>
      </div>
    </form>
  );
}
