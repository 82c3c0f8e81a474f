import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import type { JobDto, SignOffDto } from '@yugator/contracts';
import type { UseFormReturn } from 'react-hook-form';
import { useSession } from '../session/useSession.js';
import { dayWords } from '../words/dates.js';
import { SEVERITY_WORDS } from './outcomeWords.js';

/** Open defects of the machine: those that this visit mended are closed by it. */
export function MendedDefects({ form, job }: { form: UseFormReturn<SignOffDto>; job: JobDto }) {
  const { today } = useSession();
  const mended = form.watch('mendedDefectIds') ?? [];
  if (job.defects.length === 0) return null;
  return (
    <fieldset style={{ border: 0, padding: 0, margin: 0 }}>
      <legend style={{ fontWeight: 700 }}>Defects mended in this visit</legend>
      {job.defects.map(({ id, words, severity, foundOn }) => (
        <FormControlLabel
          key={id}
          sx={{ display: 'flex', minHeight: 44 }}
          control={
            <Checkbox
              checked={mended.includes(id)}
              onChange={(_event, checked) =>
                form.setValue(
                  'mendedDefectIds',
                  checked ? [...mended, id] : mended.filter((other) => other !== id),
                )
              }
            />
          }
          label={`${words} (${SEVERITY_WORDS[severity]}, found ${dayWords(foundOn, today)})`}
        />
      ))}
    </fieldset>
  );
}
