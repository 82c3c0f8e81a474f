import TextField from '@mui/material/TextField';
import { ANNUAL_RULES, HOUSE_RULES } from '@yugator/core';
import type { AnnualRule } from '@yugator/core';
import { useState } from 'react';
import { Choose } from '../form/Choose.js';
import { DayPicker } from '../form/DayPicker.js';
import type { Supposed, SupposedFields, SupposeFacts } from './supposed.js';

const ANNUAL = HOUSE_RULES.find(({ key }) => key === 'annual');

/** The other times at which the house could have its yearly service, in words. */
export function otherTimes({ workshop }: SupposeFacts): (readonly [AnnualRule, string])[] {
  const words = new Map<string, string>((ANNUAL?.options ?? []).map((option) => [option.key, option.words]));
  return ANNUAL_RULES.flatMap((rule) =>
    rule === workshop.rules.annual ? [] : [[rule, words.get(rule) ?? ''] as const],
  );
}

/** Who works in the workshop and is still with the crew. */
export function handsOf({ days, people }: SupposeFacts): (readonly [string, string])[] {
  const works = new Set(days.hands.map(({ personId }) => personId));
  return people.flatMap(({ id, name, active }) => (active && works.has(id) ? [[id, name] as const] : []));
}

interface FieldsProps {
  readonly kind: Supposed;
  readonly fields: SupposedFields;
  readonly facts: SupposeFacts;
  readonly onChange: (fields: SupposedFields) => void;
}

/** A whole number from 1 up to `most`. */
function Whole({
  label,
  value,
  most,
  onChange,
}: {
  label: string;
  value: number;
  most: number;
  onChange: (value: number) => void;
}) {
  const [text, setText] = useState(String(value));
  const typed = Number(text);
  const isRight = /^\d+$/.test(text.trim()) && typed >= 1 && typed <= most;
  return (
    <TextField
      label={label}
      size="small"
      sx={{ width: 220 }}
      value={text}
      error={!isRight}
      helperText={isRight ? undefined : `A whole number from 1 to ${most}`}
      slotProps={{ htmlInput: { inputMode: 'numeric' } }}
      onChange={({ target }) => {
        setText(target.value);
        const next = Number(target.value);
        onChange(/^\d+$/.test(target.value.trim()) && next >= 1 && next <= most ? next : NaN);
      }}
    />
  );
}

/** What is typed beside what is supposed. */
export function Fields({ kind, fields, facts, onChange }: FieldsProps) {
  if (kind === 'more' || kind === 'fewer')
    return (
      <Whole
        label="By so many per cent"
        value={fields.percent}
        most={kind === 'more' ? 200 : 90}
        onChange={(percent) => onChange({ ...fields, percent })}
      />
    );
  if (kind === 'away')
    return (
      <>
        {fields.personId ? (
          <Choose<string>
            label="Who"
            size="small"
            sx={{ width: 220 }}
            value={fields.personId}
            choices={handsOf(facts)}
            onChange={(personId) => onChange({ ...fields, personId })}
          />
        ) : (
          <Whole
            label="Per cent of all hands"
            value={fields.share}
            most={100}
            onChange={(share) => onChange({ ...fields, share })}
          />
        )}
        <DayPicker
          fullWidth={false}
          label="From"
          value={fields.from}
          onChange={(from) => onChange({ ...fields, from })}
        />
        <DayPicker
          fullWidth={false}
          label="Until"
          value={fields.until}
          onChange={(until) => onChange({ ...fields, until })}
        />
      </>
    );
  if (kind === 'another')
    return (
      <Choose<string>
        label="One like"
        size="small"
        sx={{ width: 300 }}
        value={fields.machineId}
        choices={facts.plan.machines.map(({ id, tag, name }) => [id, `${tag} ${name}`] as const)}
        onChange={(machineId) => onChange({ ...fields, machineId })}
      />
    );
  if (kind === 'lateParts')
    return (
      <Whole
        label="So many weeks later"
        value={fields.weeks}
        most={12}
        onChange={(weeks) => onChange({ ...fields, weeks })}
      />
    );
  if (kind === 'annual')
    return (
      <Choose<AnnualRule>
        label="Then"
        size="small"
        sx={{ width: 320 }}
        value={fields.annual}
        choices={otherTimes(facts)}
        onChange={(annual) => onChange({ ...fields, annual })}
      />
    );
  return null;
}
