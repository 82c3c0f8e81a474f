import Button from '@mui/material/Button';
import type { UpdateWorkshopDaysDto } from '@yugator/contracts';
import { addDays, civilDate } from '@yugator/core';
import { useState } from 'react';
import { useFieldArray } from 'react-hook-form';
import type { UseFormReturn } from 'react-hook-form';
import { textOf } from '../csv/fileText.js';
import { DayField } from '../form/DayField.js';
import { Field } from '../form/Field.js';
import { FileButton } from '../form/FileButton.js';
import form_ from '../form/form.module.css';
import { Caution } from '../page/Caution.js';
import { useSession } from '../session/useSession.js';
import { countWords } from '../words/figures.js';
import { holidaysOf, MOST_BYTES, NoCalendar } from './holidays.js';
import styles from './plan.module.css';

/** How far ahead holidays are read from a file. */
const READ_DAYS = 550;

/** What became of a file: a sentence. */
interface Outcome {
  readonly isRead: boolean;
  readonly words: string;
}

/** The days on which the workshop is open otherwise than on their weekday, typed or read from a calendar. */
export function OtherDays({ form }: { form: UseFormReturn<UpdateWorkshopDaysDto> }) {
  const { today } = useSession();
  const { fields, append, remove } = useFieldArray({ control: form.control, name: 'exceptions' });
  const [outcome, setOutcome] = useState<Outcome | null>(null);
  const read = async (file: File) => {
    setOutcome(null);
    try {
      if (file.size > MOST_BYTES) throw new NoCalendar('A calendar of holidays has less than a megabyte.');
      const span = { from: today, until: addDays(civilDate(today), READ_DAYS) };
      const known = new Set(form.getValues('exceptions').map(({ on }) => on));
      const found = holidaysOf(textOf(new Uint8Array(await file.arrayBuffer())), span);
      const added = found.filter(({ on }) => !known.has(on));
      append(
        added.map((day) => ({ ...day, minutes: 0, bays: 0 })),
        { shouldFocus: false },
      );
      const standing = found.length - added.length;
      const rest = standing ? ` ${countWords(standing, 'day')} stood there already.` : '';
      const words = `${countWords(added.length, 'day')} of ${file.name} put down as closed.${rest} Take out on which you work, and save.`;
      setOutcome({ isRead: true, words });
    } catch (error) {
      if (!(error instanceof NoCalendar)) throw error;
      setOutcome({ isRead: false, words: error.message });
    }
  };
  return (
    <fieldset className={form_.plain}>
      <legend>
        <h2>Otherwise on</h2>
      </legend>
      {outcome?.isRead === false ? <Caution title="Not read">{<p>{outcome.words}</p>}</Caution> : null}
      {outcome?.isRead ? <p role="status">{outcome.words}</p> : null}
      {fields.map((field, at) => (
        <div key={field.id} className={styles.exception}>
          <DayField form={form} name={`exceptions.${at}.on`} label="Day" />
          <Field form={form} name={`exceptions.${at}.minutes`} label="Minutes" figure size="small" />
          <Field form={form} name={`exceptions.${at}.bays`} label="Machines" figure size="small" />
          <Field form={form} name={`exceptions.${at}.note`} label="Why" size="small" />
          <Button variant="text" onClick={() => remove(at)} aria-label={`Take out ${field.on}`}>
            Take out
          </Button>
        </div>
      ))}
      <div className={form_.acts}>
        <Button onClick={() => append({ on: today, minutes: 0, bays: 0, note: '' })}>
          A day on which it is otherwise
        </Button>
        <FileButton label="Holidays as iCalendar" accept=".ics,text/calendar" onFile={read}>
          Read holidays from a calendar
        </FileButton>
      </div>
    </fieldset>
  );
}
