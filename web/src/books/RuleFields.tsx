import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { parseTrigger } from '@yugator/core';
import type { Trigger } from '@yugator/core';
import { seasonQueries } from '../season/seasonQueries.js';
import type { ReactNode } from 'react';
import { parseFigure } from '../words/figures.js';
import type { BookDraft, DraftLine } from './bookDraft.js';

/** The kinds of rule that no column of a chart holds. */
export const KINDS = {
  seasonEdge: 'Before or after a season',
  everyNth: 'Each n-th time another line is done',
  storage: 'While the machine is laid up',
  onMeter: 'At whole multiples on the meter',
  everyDays: 'Every so many days, in use or by the calendar',
} as const;
export type Kind = keyof typeof KINDS;

/** What is typed of a rule, whatever its kind. */
export interface Typed {
  readonly kind: Kind;
  readonly season: string;
  readonly edge: 'first' | 'last';
  readonly days: string;
  readonly n: string;
  readonly other: string;
  readonly above: string;
  readonly hours: string;
  readonly inUse: boolean;
}

export const EMPTY: Typed = {
  kind: 'seasonEdge',
  season: '',
  edge: 'first',
  days: '0',
  n: '2',
  other: '',
  above: '',
  hours: '50',
  inUse: true,
};

/** The rule that was typed, or a sentence of what is missing. */
export function ruleOf(typed: Typed, meter: BookDraft['meter']): Trigger | string {
  const loose = {
    seasonEdge: {
      kind: 'seasonEdge',
      season: typed.season || null,
      edge: typed.edge,
      offsetDays: parseFigure(typed.days.replace('−', '-')),
    },
    everyNth: {
      kind: 'everyNth',
      n: parseFigure(typed.n),
      itemId: typed.other,
      everyTimeAboveHours: typed.above.trim() === '' ? null : parseFigure(typed.above),
    },
    storage: { kind: 'storage', days: parseFigure(typed.days) },
    onMeter: { kind: 'everyHours', hours: parseFigure(typed.hours), meter, grid: 'onMeter' },
    everyDays: { kind: 'everyCalendar', count: parseFigure(typed.days), unit: 'day', inUse: typed.inUse },
  }[typed.kind];
  const parsed = parseTrigger(loose);
  if ('trigger' in parsed) return parsed.trigger;
  return {
    seasonEdge: 'Give the days as a whole number, negative for days before.',
    everyNth: 'Choose the other line, and give n from 2 on.',
    storage: 'Give the days as a whole number from 1 to 366.',
    onMeter: 'Give the hours as a number, such as 50.',
    everyDays: 'Give the days as a whole number, such as 7.',
  }[typed.kind];
}

interface FieldsProps {
  readonly typed: Typed;
  readonly line: DraftLine;
  readonly draft: BookDraft;
  readonly onType: (change: Partial<Typed>) => void;
}

/** A figure to be typed. */
export function Figure({
  label,
  value,
  onType,
}: {
  label: string;
  value: string;
  onType: (text: string) => void;
}) {
  return (
    <TextField
      label={label}
      value={value}
      onChange={(event) => onType(event.target.value)}
      slotProps={{ htmlInput: { autoComplete: 'off' } }}
    />
  );
}

function SeasonFields({ typed, onType }: Pick<FieldsProps, 'typed' | 'onType'>) {
  const seasons = useQuery(seasonQueries.all());
  return (
    <>
      <TextField
        label="Season"
        select
        value={typed.season}
        onChange={(event) => onType({ season: event.target.value })}
        slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
      >
        <MenuItem value="">The machine&rsquo;s own working time</MenuItem>
        {(seasons.data?.seasons ?? []).map(({ id, name }) => (
          <MenuItem key={id} value={name}>
            {name}
          </MenuItem>
        ))}
      </TextField>
      <TextField
        label="Counted from its"
        select
        value={typed.edge}
        onChange={(event) => onType({ edge: event.target.value === 'last' ? 'last' : 'first' })}
      >
        <MenuItem value="first">first day</MenuItem>
        <MenuItem value="last">last day</MenuItem>
      </TextField>
      <Figure
        label="Days after it, negative for before"
        value={typed.days}
        onType={(days) => onType({ days })}
      />
    </>
  );
}

/** The other lines of the book, to be chosen from by their names. */
export function otherLines({ lines }: BookDraft, line: DraftLine): ReactNode {
  return lines
    .filter(({ key, name }) => key !== line.key && name !== '')
    .map(({ key, name }) => (
      <MenuItem key={key} value={name}>
        {name}
      </MenuItem>
    ));
}

/** What is typed of a rule, by its kind. */
export function RuleFields({ typed, line, draft, onType }: FieldsProps) {
  switch (typed.kind) {
    case 'seasonEdge':
      return <SeasonFields typed={typed} onType={onType} />;
    case 'everyNth':
      return (
        <>
          <TextField
            label="Other line"
            select
            value={typed.other}
            onChange={(event) => onType({ other: event.target.value })}
          >
            {otherLines(draft, line)}
          </TextField>
          <Figure label="Each n-th time" value={typed.n} onType={(n) => onType({ n })} />
          <Figure
            label="Every time above so many hours a year (may stay empty)"
            value={typed.above}
            onType={(above) => onType({ above })}
          />
        </>
      );
    case 'storage':
      return <Figure label="Every so many days" value={typed.days} onType={(days) => onType({ days })} />;
    case 'everyDays':
      return (
        <>
          <Figure label="Every so many days" value={typed.days} onType={(days) => onType({ days })} />
          <TextField
            label="While the machine rests"
            select
            value={typed.inUse ? 'waits' : 'runs'}
            onChange={(event) => onType({ inUse: event.target.value === 'waits' })}
          >
            <MenuItem value="waits">they wait for its first day back</MenuItem>
            <MenuItem value="runs">they run on</MenuItem>
          </TextField>
        </>
      );
    case 'onMeter':
      return <Figure label="Hours" value={typed.hours} onType={(hours) => onType({ hours })} />;
  }
}
