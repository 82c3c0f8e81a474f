import type { Component, ComponentClass } from '@yugator/core';
import { useController } from 'react-hook-form';
import type { FieldPathByValue, FieldValues, UseFormReturn } from 'react-hook-form';
import { ComponentsPick } from './ComponentPick.js';

interface Props<T extends FieldValues> {
  readonly form: Pick<UseFormReturn<T>, 'control'>;
  readonly name: FieldPathByValue<T, Component[]>;
  readonly machineClass: ComponentClass;
}

/** What something is done to, picked from the list of components. */
export function ComponentsField<T extends FieldValues>({ form, name, machineClass }: Props<T>) {
  const { field, fieldState } = useController({ control: form.control, name });
  return (
    <ComponentsPick
      label="Done to"
      machineClass={machineClass}
      fault={fieldState.error?.message}
      value={field.value}
      onChange={field.onChange}
    />
  );
}
