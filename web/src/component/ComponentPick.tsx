import Autocomplete from '@mui/material/Autocomplete';
import type { AutocompleteRenderInputParams } from '@mui/material/Autocomplete';
import TextField from '@mui/material/TextField';
import { componentSpec } from '@yugator/core';
import type { Component, ComponentClass, ComponentKind } from '@yugator/core';
import { useMemo } from 'react';
import { KIND_WORDS, optionsFor, searched } from './componentOptions.js';

interface Props {
  readonly label: string;
  /** left out: of machines of any class */
  readonly machineClass?: ComponentClass | undefined;
  /** only these kinds; all where it does not say */
  readonly kinds?: readonly ComponentKind[] | undefined;
  readonly fault?: string | undefined;
  /** in a cell of a table its label is only read out */
  readonly isCell?: boolean;
}

function useOptions({ machineClass, kinds }: Props, chosen: readonly Component[]) {
  return useMemo(() => {
    const usual = optionsFor(machineClass, kinds);
    // What was chosen before the class changed stays to be seen.
    return [...usual, ...chosen.filter((component) => !usual.includes(component))];
  }, [machineClass, kinds, chosen]);
}

const COMMON = {
  size: 'small' as const,
  // Who types and presses Enter gets what stands first.
  autoHighlight: true,
  getOptionLabel: (component: Component) => componentSpec(component).words,
  groupBy: (component: Component) =>
    component === 'other' ? 'None of these' : KIND_WORDS[componentSpec(component).is],
  filterOptions: (all: Component[], { inputValue }: { inputValue: string }) => searched(all, inputValue),
  noOptionsText: 'No such component. Choose “something else” and let the book say it.',
};

function inputOf({ label, isCell = false, fault }: Props) {
  return function ComponentInput({ slotProps, ...params }: AutocompleteRenderInputParams) {
    return (
      <TextField
        {...params}
        label={isCell ? undefined : label}
        error={fault !== undefined}
        helperText={fault}
        slotProps={{
          ...slotProps,
          inputLabel: { ...slotProps.inputLabel, shrink: true },
          htmlInput: { ...slotProps.htmlInput, 'aria-label': isCell ? label : undefined },
        }}
      />
    );
  };
}

/** Picks one component or several from the list, by typing any word for it. */
export function ComponentsPick({
  value,
  onChange,
  ...props
}: Props & { readonly value: readonly Component[]; readonly onChange: (value: Component[]) => void }) {
  const options = useOptions(props, value);
  return (
    <Autocomplete
      {...COMMON}
      multiple
      disableCloseOnSelect
      options={options}
      value={[...value]}
      onChange={(_event, chosen) => onChange(chosen)}
      renderInput={inputOf(props)}
    />
  );
}

/** Picks one component, or none. */
export function ComponentPick({
  value,
  onChange,
  ...props
}: Props & { readonly value: Component | null; readonly onChange: (value: Component | null) => void }) {
  const chosen = useMemo(() => (value ? [value] : []), [value]);
  const options = useOptions(props, chosen);
  return (
    <Autocomplete
      {...COMMON}
      options={options}
      value={value}
      onChange={(_event, picked) => onChange(picked)}
      renderInput={inputOf(props)}
    />
  );
}
