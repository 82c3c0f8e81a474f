import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import type { SeasonYearDto, UpdateSeasonsDto } from '@yugator/contracts';
import { addDays, parseCivilDate, seasonInYear, seasonYearFault } from '@yugator/core';
import type { SeasonYear, SeasonYearFault } from '@yugator/core';
import { useController } from 'react-hook-form';
import type { UseFormReturn } from 'react-hook-form';
import { DayPicker } from '../form/DayPicker.js';
import { Field } from '../form/Field.js';
import { dayWords } from '../words/dates.js';
import { countWords } from '../words/figures.js';
import styles from './season.module.css';

type Year = SeasonYearDto;

interface Props {
  readonly form: UseFormReturn<UpdateSeasonsDto>;
  /** which season of the form */
  readonly index: number;
  /** tags of the machines that take part */
  readonly machines: readonly string[];
  readonly mayChange: boolean;
  readonly thisYear: number;
  readonly onDrop: () => void;
}

const FAULT_WORDS: Record<SeasonYearFault, string> = {
  endsBeforeItBegins: 'Ends before it begins.',
  beginsInAnotherYear: 'Begins in another year.',
  longerThanAYear: 'Longer than a year.',
};

function parsed({ year, firstDay, lastDay }: Year): SeasonYear | null {
  const [first, last] = [parseCivilDate(firstDay), parseCivilDate(lastDay)];
  return first && last ? { year, firstDay: first, lastDay: last } : null;
}

function faultOf(year: Year): string | null {
  const days = parsed(year);
  if (!days) return 'Give days that exist.';
  const fault = seasonYearFault(days);
  return fault ? FAULT_WORDS[fault] : null;
}

/** The year after the last one that is set, with the same days. */
function yearAfter(set: readonly Year[], thisYear: number): Year {
  const years = set.flatMap((year) => parsed(year) ?? []);
  const year = Math.max(thisYear, ...years.map((each) => each.year + 1));
  const days = seasonInYear({ id: '', name: '', years }, year);
  return days ?? { year, firstDay: `${year}-04-01`, lastDay: `${year}-10-31` };
}

function shifted(year: Year, days: number): Year {
  const own = parsed(year);
  return own
    ? { year: year.year, firstDay: addDays(own.firstDay, days), lastDay: addDays(own.lastDay, days) }
    : year;
}

interface YearProps {
  readonly form: Props['form'];
  readonly name: `seasons.${number}.years.${number}`;
  /** "Mowing 2027" */
  readonly word: string;
  readonly onDrop: (() => void) | null;
}

function YearRow({ form, name, word, onDrop }: YearProps) {
  const first = useController({ control: form.control, name: `${name}.firstDay` });
  const last = useController({ control: form.control, name: `${name}.lastDay` });
  const year = form.watch(name);
  const fault = faultOf(year) ?? first.fieldState.error?.message ?? last.fieldState.error?.message;
  const shift = (days: number) => form.setValue(name, shifted(year, days), { shouldDirty: true });
  return (
    <div className={styles.yearRow}>
      <b className="fig">{year.year}</b>
      <DayPicker
        fullWidth={false}
        label={`First day of ${word}`}
        value={first.field.value}
        onChange={first.field.onChange}
        fault={fault}
      />
      <DayPicker
        fullWidth={false}
        label={`Last day of ${word}`}
        value={last.field.value}
        onChange={last.field.onChange}
        fault={fault && ' '}
      />
      <Button size="small" onClick={() => shift(-7)} aria-label={`−1 week: ${word}`}>
        −1 week
      </Button>
      <Button size="small" onClick={() => shift(7)} aria-label={`+1 week: ${word}`}>
        +1 week
      </Button>
      {onDrop ? (
        <IconButton aria-label={`Take out ${word}`} onClick={onDrop} sx={{ color: 'var(--ink)' }}>
          ×
        </IconButton>
      ) : null}
    </div>
  );
}

function takePartWords(machines: readonly string[]): string {
  return `${countWords(machines.length, 'machine')} ${machines.length === 1 ? 'takes' : 'take'} part`;
}

/** One season: its name, its days year by year, and who takes part. */
export function SeasonCard({ form, index, machines, mayChange, thisYear, onDrop }: Props) {
  const { name, years } = form.watch(`seasons.${index}`);
  const setYears = (next: Year[]) => form.setValue(`seasons.${index}.years`, next, { shouldDirty: true });
  const next = yearAfter(years, thisYear);
  return (
    <section className={styles.card} aria-label={name || 'New season'}>
      {mayChange ? (
        <Field
          form={form}
          name={`seasons.${index}.name`}
          fullWidth={false}
          label="Season"
          hint={takePartWords(machines)}
        />
      ) : (
        <h2>{name}</h2>
      )}
      {years.map((year, at) =>
        mayChange ? (
          <YearRow
            key={year.year}
            form={form}
            name={`seasons.${index}.years.${at}`}
            word={`${name || 'the season'} ${year.year}`}
            onDrop={years.length > 1 ? () => setYears(years.toSpliced(at, 1)) : null}
          />
        ) : (
          <p key={year.year}>
            {year.year}: {dayWords(year.firstDay, year.firstDay)} to {dayWords(year.lastDay, year.lastDay)}
          </p>
        ),
      )}
      {mayChange ? (
        <div className={styles.acts}>
          <Button size="small" onClick={() => setYears([...years, next])}>
            Set days for {next.year}
          </Button>
          {machines.length === 0 ? (
            <Button size="small" onClick={onDrop}>
              Remove the season
            </Button>
          ) : null}
        </div>
      ) : null}
    </section>
  );
}
