import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import TextField from '@mui/material/TextField';
import type { MachineClass } from '@yugator/contracts';
import { isComponent } from '@yugator/core';
import { ComponentPick } from '../component/ComponentPick.js';
import styles from './specCard.module.css';
import type { CardFaults, SpecSection, TypedRow } from './specSections.js';

interface Props {
  readonly machineClass: MachineClass;
  readonly section: SpecSection;
  readonly rows: readonly TypedRow[];
  readonly faults: CardFaults;
  readonly onChange: (rows: readonly TypedRow[]) => void;
}

/** One part of the spec card, to be typed. */
export function SpecSectionEdit({ machineClass, section, rows, faults, onChange }: Props) {
  const { key, title, columns, most = Infinity } = section;
  const change = (index: number, column: string, text: string) =>
    onChange(rows.map((row, each) => (each === index ? { ...row, [column]: text } : row)));
  return (
    <fieldset className={styles.section}>
      <legend>{title}</legend>
      {rows.map((row, index) => (
        <div key={index} className={styles.row}>
          {columns.map((column) => {
            const fault = faults[`${key}/${index}/${column.key}`];
            const typed = row[column.key] ?? '';
            if (column.kind.is === 'component')
              return (
                <ComponentPick
                  key={column.key}
                  label={column.label}
                  machineClass={machineClass}
                  kinds={column.kind.kinds}
                  value={isComponent(typed) ? typed : null}
                  onChange={(picked) => change(index, column.key, picked ?? '')}
                  fault={fault}
                />
              );
            return (
              <TextField
                key={column.key}
                label={column.label}
                placeholder={column.example}
                value={typed}
                onChange={(event) => change(index, column.key, event.target.value)}
                error={fault !== undefined}
                helperText={fault}
                slotProps={{ htmlInput: { autoComplete: 'off' }, inputLabel: { shrink: true } }}
              />
            );
          })}
          <IconButton
            aria-label={`Take out line ${index + 1} of ${title}`}
            onClick={() => onChange(rows.filter((_row, each) => each !== index))}
          >
            ×
          </IconButton>
        </div>
      ))}
      {rows.length < most ? (
        <Button size="small" onClick={() => onChange([...rows, {}])} aria-label={`Add a line to ${title}`}>
          Add a line
        </Button>
      ) : null}
    </fieldset>
  );
}
