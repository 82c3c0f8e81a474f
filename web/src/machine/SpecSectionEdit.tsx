import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import type { MachineClass } from '@yugator/contracts';
import { isComponent } from '@yugator/core';
import type { ComponentKind } from '@yugator/core';
import { Controller, useFieldArray } from 'react-hook-form';
import { ComponentPick } from '../component/ComponentPick.js';
import { ChoiceField } from '../form/ChoiceField.js';
import { Field } from '../form/Field.js';
import styles from './specCard.module.css';
import type { SpecForm } from './specForm.js';
import { useSession } from '../session/useSession.js';
import { columnHead } from './specSections.js';
import type { SpecColumn, SpecSection } from './specSections.js';

interface Props {
  readonly machineClass: MachineClass;
  readonly section: SpecSection;
  readonly form: SpecForm;
}

interface CellProps extends Pick<Props, 'form' | 'machineClass'> {
  readonly name: `card.${SpecSection['key']}.${number}.${string}`;
  readonly column: SpecColumn;
}

function Cell({ form, name, machineClass, column }: CellProps) {
  const { site } = useSession();
  const { kind, example } = column;
  const label = columnHead(column, site.unitSystem);
  if (kind.is === 'choice') {
    return (
      <ChoiceField
        form={form}
        name={name}
        label={label}
        choices={[['', kind.none], ...Object.entries(kind.words)]}
      />
    );
  }
  const kinds: readonly ComponentKind[] | undefined = kind.is === 'component' ? kind.kinds : undefined;
  return kind.is === 'component' ? (
    <Controller
      control={form.control}
      name={name}
      render={({ field, fieldState }) => (
        <ComponentPick
          label={label}
          machineClass={machineClass}
          kinds={kinds}
          value={isComponent(field.value) ? field.value : null}
          onChange={(picked) => field.onChange(picked ?? '')}
          fault={fieldState.error?.message}
        />
      )}
    />
  ) : (
    <Field
      form={form}
      name={name}
      label={label}
      placeholder={example}
      slotProps={{ htmlInput: { autoComplete: 'off' }, inputLabel: { shrink: true } }}
    />
  );
}

/** One part of the spec card, to be typed. */
export function SpecSectionEdit({ machineClass, section, form }: Props) {
  const { key, title, columns, most = Infinity } = section;
  const rows = useFieldArray({ control: form.control, name: `card.${key}`, keyName: 'rowKey' });
  const empty = Object.fromEntries(columns.map((column) => [column.key, '']));
  return (
    <fieldset className={styles.section}>
      <legend>{title}</legend>
      {rows.fields.map((row, index) => (
        <div key={row.rowKey} className={styles.row}>
          {columns.map((column) => (
            <Cell
              key={column.key}
              form={form}
              name={`card.${key}.${index}.${column.key}`}
              machineClass={machineClass}
              column={column}
            />
          ))}
          <IconButton
            aria-label={`Take out line ${index + 1} of ${title}`}
            onClick={() => rows.remove(index)}
          >
            ×
          </IconButton>
        </div>
      ))}
      {rows.fields.length < most ? (
        <Button size="small" onClick={() => rows.append(empty)} aria-label={`Add a line to ${title}`}>
          Add a line
        </Button>
      ) : null}
    </fieldset>
  );
}
