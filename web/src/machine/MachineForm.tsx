import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import FormHelperText from '@mui/material/FormHelperText';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { COOLINGS } from '@yugator/contracts';
import type { BookDto, MachineFieldsDto } from '@yugator/contracts';
import { inUnit, parseQuantity, shownUnit } from '@yugator/core';
import { useState } from 'react';
import type { ReactNode } from 'react';
import { Controller } from 'react-hook-form';
import type { UseFormReturn } from 'react-hook-form';
import { ChoiceField } from '../form/ChoiceField.js';
import { choicesOf } from '../form/Choose.js';
import { DayField } from '../form/DayField.js';
import { CheckField } from '../form/CheckField.js';
import { Field } from '../form/Field.js';
import styles from '../form/form.module.css';
import { Caution } from '../page/Caution.js';
import { useSession } from '../session/useSession.js';
import { CLASS_WORDS, COOLING_WORDS, FUEL_WORDS } from './classWords.js';

interface Props {
  readonly form: UseFormReturn<MachineFieldsDto> & { problem: string | null };
  readonly books: readonly BookDto[];
  /** once it is in service, day and hours of its coming stay */
  readonly isRegistered: boolean;
  readonly onSubmit: (values: MachineFieldsDto) => void;
  readonly submitWord: string;
  readonly pending: boolean;
  readonly children?: ReactNode;
}

function Books({ form, books }: Pick<Props, 'form' | 'books'>) {
  const machineClass = form.watch('machineClass');
  const chosen = form.watch('bookIds');
  const fitting = books.filter((book) => book.machineClass === machineClass || chosen.includes(book.id));
  return (
    <Controller
      control={form.control}
      name="bookIds"
      render={({ field, fieldState }) => (
        <fieldset style={{ border: 0, padding: 0, margin: 0 }}>
          <legend>
            <b>Service books it follows</b>
          </legend>
          {fitting.map((book) => (
            <div key={book.id}>
              <FormControlLabel
                label={`${book.name} (${book.items.length} items)`}
                control={
                  <Checkbox
                    checked={field.value.includes(book.id)}
                    onChange={(_event, checked) =>
                      field.onChange(
                        checked ? [...field.value, book.id] : field.value.filter((id) => id !== book.id),
                      )
                    }
                  />
                }
              />
            </div>
          ))}
          <FormHelperText error={fieldState.error !== undefined}>
            {fieldState.error?.message ?? (fitting.length ? '' : 'There is no book for this class yet.')}
          </FormHelperText>
        </fieldset>
      )}
    />
  );
}

/** The engine's power, typed in any unit and shown in that of the crew. */
function EnginePower({ form }: Pick<Props, 'form'>) {
  const { site } = useSession();
  const { unit, decimals } = shownUnit('power', site.unitSystem);
  const known = form.getValues('enginePower') ?? null;
  const [text, setText] = useState(known === null ? '' : `${inUnit(known, 'power', unit, decimals)} ${unit}`);
  return (
    <Controller
      control={form.control}
      name="enginePower"
      render={({ field, fieldState }) => (
        <TextField
          label="Engine power"
          value={text}
          inputRef={field.ref}
          onBlur={field.onBlur}
          onChange={(event) => {
            setText(event.target.value);
            const power = parseQuantity(event.target.value, 'power', unit);
            field.onChange(
              event.target.value.trim() === '' ? null : power === null ? NaN : Math.round(power * 1e6) / 1e6,
            );
          }}
          error={fieldState.error !== undefined}
          helperText={fieldState.error?.message ?? 'Such as 24 hp or 18 kW'}
        />
      )}
    />
  );
}

function Naming({ form }: Pick<Props, 'form'>) {
  return (
    <>
      <Field form={form} name="tag" label="Tag" hint="As it stands on the machine, such as M-07" />
      <Field form={form} name="name" label="Name" hint="As the crew calls it" />
      <ChoiceField form={form} name="machineClass" label="Class" choices={choicesOf(CLASS_WORDS)} />
      <ChoiceField form={form} name="fuel" label="Fuel" choices={choicesOf(FUEL_WORDS)} />
    </>
  );
}

/** What it is by its plate and papers. */
function Build({ form }: Pick<Props, 'form'>) {
  return (
    <>
      <Field form={form} name="make" label="Make" />
      <Field form={form} name="model" label="Model" />
      <Field form={form} name="serial" label="Serial number" />
      <Field form={form} name="modelYear" label="Built in" figure="optional" />
      <Field
        form={form}
        name="cooling"
        label="Cooling"
        select
        blankIsNothing
        defaultValue={form.getValues('cooling') ?? ''}
      >
        <MenuItem value="">Not known</MenuItem>
        {COOLINGS.map((cooling) => (
          <MenuItem key={cooling} value={cooling}>
            {COOLING_WORDS[cooling]}
          </MenuItem>
        ))}
      </Field>
      <Field form={form} name="cylinders" label="Cylinders" figure="optional" />
      <EnginePower form={form} />
      <DayField form={form} name="warrantyUntil" label="Warranty until" blankIsNothing />
      <Field form={form} name="warrantyHours" label="Warranty until hours" figure="optional" />
    </>
  );
}

/** Where it stands, and from where its records count. */
function PlaceAndEntry({ form, isRegistered }: Pick<Props, 'form' | 'isRegistered'>) {
  const fixed = isRegistered ? 'Its records count from here, so it stays' : undefined;
  return (
    <>
      <Field form={form} name="shed" label="Shed" hint="Where it stands" />
      <Field
        form={form}
        name="walkOrder"
        label="Place in the walk"
        figure
        hint="Lower numbers are read first"
      />
      <DayField
        form={form}
        name="inServiceOn"
        label="In service since"
        hint={fixed}
        readOnly={isRegistered}
      />
      <Field
        form={form}
        name="inServiceHours"
        label="Hours on that day"
        figure
        hint={fixed ?? '0 for a new machine'}
        slotProps={{ htmlInput: { readOnly: isRegistered } }}
      />
    </>
  );
}

/** What a machine is registered with. */
export function MachineForm({ form, books, isRegistered, onSubmit, submitWord, pending, children }: Props) {
  return (
    <form className={styles.form} noValidate onSubmit={(event) => void form.handleSubmit(onSubmit)(event)}>
      {form.problem ? <Caution title="Not saved">{<p>{form.problem}</p>}</Caution> : null}
      <div className={styles.grid}>
        <Naming form={form} />
        <Build form={form} />
        <PlaceAndEntry form={form} isRegistered={isRegistered} />
      </div>
      <CheckField
        form={form}
        name="cameNew"
        label="It came new: intervals count from its first day until a service is on record"
      />
      <Books form={form} books={books} />
      <div className={styles.acts}>
        <Button type="submit" variant="contained" color="primary" loading={pending}>
          {submitWord}
        </Button>
        {children}
      </div>
    </form>
  );
}
