import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import type { PersonDto, UpdateWorkshopDaysDto } from '@yugator/contracts';
import { Controller, useFieldArray, useWatch } from 'react-hook-form';
import type { FieldPath, UseFormReturn } from 'react-hook-form';
import { Choose } from '../form/Choose.js';
import { DayField } from '../form/DayField.js';
import { Field } from '../form/Field.js';
import form_ from '../form/form.module.css';
import { peopleQueries } from '../people/peopleQueries.js';
import { useSession } from '../session/useSession.js';
import styles from './plan.module.css';

export const WEEKDAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];

type DaysForm = UseFormReturn<UpdateWorkshopDaysDto>;

function PersonField({
  form,
  name,
  people,
}: {
  form: DaysForm;
  name: FieldPath<UpdateWorkshopDaysDto> & `${'hands' | 'absences'}.${number}.personId`;
  people: readonly PersonDto[];
}) {
  return (
    <Controller
      control={form.control}
      name={name}
      render={({ field: { value, onChange }, fieldState: { error } }) => (
        <Choose<string>
          label="Who"
          size="small"
          value={value}
          choices={people.map((person) => [person.id, person.name] as const)}
          onChange={onChange}
          error={error !== undefined}
          helperText={error?.message}
        />
      )}
    />
  );
}

/** Who works in the workshop, how long on which weekday, and when they are away. */
export function HandFields({ form }: { form: DaysForm }) {
  const { today } = useSession();
  const { data: people = [] } = useQuery(peopleQueries.list());
  const hands = useFieldArray({ control: form.control, name: 'hands' });
  const absences = useFieldArray({ control: form.control, name: 'absences' });
  const said = useWatch({ control: form.control, name: 'hands' });
  const chosen = new Set(said.map(({ personId }) => personId));
  // Whoever has left stays where he was said, and can be taken out.
  const offered = people.filter(({ id, active }) => active || chosen.has(id));
  const next = offered.find(({ id, role }) => !chosen.has(id) && role !== 'viewer');
  const ofHands = people.filter(({ id }) => chosen.has(id));
  return (
    <fieldset className={form_.plain}>
      <legend>
        <h2>Who is in</h2>
      </legend>
      <p className="soft">
        Where it is said who works in the workshop, the minutes of a day are those of everybody who is in.
      </p>
      {hands.fields.map((field, at) => (
        <div key={field.id} className={styles.hand}>
          <PersonField form={form} name={`hands.${at}.personId`} people={offered} />
          <div className={styles.minutes}>
            {WEEKDAYS.map((weekday, place) => (
              <Field
                key={weekday}
                form={form}
                name={`hands.${at}.week.${place}.minutes`}
                label={weekday.slice(0, 3)}
                figure
                size="small"
                slotProps={{ htmlInput: { 'aria-label': `Minutes of person ${at + 1} on ${weekday}` } }}
              />
            ))}
          </div>
          <Button variant="text" onClick={() => hands.remove(at)} aria-label={`Take out person ${at + 1}`}>
            Take out
          </Button>
        </div>
      ))}
      {absences.fields.map((field, at) => (
        <div key={field.id} className={styles.needed}>
          <PersonField form={form} name={`absences.${at}.personId`} people={ofHands} />
          <DayField form={form} name={`absences.${at}.from`} label="Away from" />
          <DayField form={form} name={`absences.${at}.until`} label="Until" />
          <Field form={form} name={`absences.${at}.note`} label="Why" size="small" />
          <Button
            variant="text"
            onClick={() => absences.remove(at)}
            aria-label={`Take out absence ${at + 1}`}
          >
            Take out
          </Button>
        </div>
      ))}
      <div className={form_.acts}>
        {next ? (
          <Button
            onClick={() => hands.append({ personId: next.id, week: WEEKDAYS.map(() => ({ minutes: 0 })) })}
          >
            Somebody works here
          </Button>
        ) : null}
        {ofHands[0] ? (
          <Button
            onClick={() =>
              absences.append({ personId: ofHands[0]?.id ?? '', from: today, until: today, note: '' })
            }
          >
            Somebody is away
          </Button>
        ) : null}
      </div>
    </fieldset>
  );
}
