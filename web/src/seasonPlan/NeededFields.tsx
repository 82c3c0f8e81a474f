import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import type { UpdateWorkshopDaysDto } from '@yugator/contracts';
import { Controller, useFieldArray } from 'react-hook-form';
import type { UseFormReturn } from 'react-hook-form';
import { Choose } from '../form/Choose.js';
import { DayField } from '../form/DayField.js';
import { Field } from '../form/Field.js';
import form_ from '../form/form.module.css';
import { fleetQueries } from '../machine/fleetQueries.js';
import { useSession } from '../session/useSession.js';
import styles from './plan.module.css';

const EVERY = 'every';

/** Days on which machines must not be missing, and by when they are ready and laid up. */
export function NeededFields({ form }: { form: UseFormReturn<UpdateWorkshopDaysDto> }) {
  const { today } = useSession();
  const { data = [] } = useQuery(fleetQueries.list());
  const { fields, append, remove } = useFieldArray({ control: form.control, name: 'needed' });
  const choices = [
    [EVERY, 'every machine'] as const,
    ...data
      .filter(({ status }) => status !== 'retired')
      .map(({ id, tag, name }) => [id, `${tag} ${name}`] as const),
  ];
  return (
    <fieldset className={form_.plain}>
      <legend>
        <h2>Days on which machines are needed</h2>
      </legend>
      <p className="soft">A match, a fair, an inspection: nothing is planned for them then.</p>
      {fields.map((field, at) => (
        <div key={field.id} className={styles.needed}>
          <Controller
            control={form.control}
            name={`needed.${at}.machineId`}
            render={({ field: { value, onChange }, fieldState: { error } }) => (
              <Choose<string>
                label="Machine"
                size="small"
                value={value ?? EVERY}
                choices={choices}
                onChange={(chosen) => onChange(chosen === EVERY ? null : chosen)}
                error={error !== undefined}
                helperText={error?.message}
              />
            )}
          />
          <DayField form={form} name={`needed.${at}.from`} label="From" />
          <DayField form={form} name={`needed.${at}.until`} label="Until" />
          <Field form={form} name={`needed.${at}.note`} label="What for" size="small" />
          <Button variant="text" onClick={() => remove(at)} aria-label={`Take out needed days ${at + 1}`}>
            Take out
          </Button>
        </div>
      ))}
      <Button onClick={() => append({ machineId: null, from: today, until: today, note: '' })}>
        Days on which one is needed
      </Button>
    </fieldset>
  );
}

/** By when before its season a machine is ready, and within how many days after it it is laid up. */
export function MarginFields({ form }: { form: UseFormReturn<UpdateWorkshopDaysDto> }) {
  return (
    <fieldset className={form_.plain}>
      <legend>
        <h2>Before and after its season</h2>
      </legend>
      <div className={styles.margins}>
        <Field form={form} name="readyDays" label="Ready so many days before its season" figure />
        <Field form={form} name="layUpDays" label="Laid up within so many days after it" figure />
      </div>
    </fieldset>
  );
}
