import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import TextField from '@mui/material/TextField';
import type { UpdateSeasonsDto } from '@yugator/contracts';
import { addDays, parseCivilDate, seasonInYear, seasonYearFault } from '@yugator/core';
import type { SeasonYear, SeasonYearFault } from '@yugator/core';
import { DayPicker } from '../form/DayPicker.js';
import { dayWords } from '../words/dates.js';
import { countWords } from '../words/figures.js';
import styles from './season.module.css';

type Draft = UpdateSeasonsDto['seasons'][number];
type Year = Draft['years'][number];

interface Props {
  readonly season: Draft;
  /** tags of the machines that take part */
  readonly machines: readonly string[];
  readonly mayChange: boolean;
  readonly thisYear: number;
  readonly onChange: (season: Draft) => void;
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
function yearAfter(season: Draft, thisYear: number): Year {
  const years = season.years.flatMap((year) => parsed(year) ?? []);
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

function YearRow({
  year,
  name,
  onChange,
  onDrop,
}: {
  year: Year;
  name: string;
  onChange: (year: Year) => void;
  onDrop: (() => void) | null;
}) {
  const fault = faultOf(year);
  const word = `${name || 'the season'} ${year.year}`;
  return (
    <div className={styles.yearRow}>
      <b className="fig">{year.year}</b>
      <DayPicker
        fullWidth={false}
        label={`First day of ${word}`}
        value={year.firstDay}
        onChange={(firstDay) => onChange({ ...year, firstDay })}
        fault={fault ?? undefined}
      />
      <DayPicker
        fullWidth={false}
        label={`Last day of ${word}`}
        value={year.lastDay}
        onChange={(lastDay) => onChange({ ...year, lastDay })}
        fault={fault ? ' ' : undefined}
      />
      <Button size="small" onClick={() => onChange(shifted(year, -7))} aria-label={`−1 week: ${word}`}>
        −1 week
      </Button>
      <Button size="small" onClick={() => onChange(shifted(year, 7))} aria-label={`+1 week: ${word}`}>
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

/** One season: its name, its days year by year, and who takes part. */
export function SeasonCard({ season, machines, mayChange, thisYear, onChange, onDrop }: Props) {
  const { name, years } = season;
  const setYear = (index: number, year: Year) =>
    onChange({ ...season, years: years.map((each, own) => (own === index ? year : each)) });
  return (
    <section className={styles.card} aria-label={name || 'New season'}>
      {mayChange ? (
        <TextField
          fullWidth={false}
          label="Season"
          value={name}
          onChange={(event) => onChange({ ...season, name: event.target.value })}
          error={name.trim() === ''}
          helperText={
            name.trim() === ''
              ? 'Name it, such as Mowing.'
              : `${countWords(machines.length, 'machine')} ${machines.length === 1 ? 'takes' : 'take'} part`
          }
        />
      ) : (
        <h2>{name}</h2>
      )}
      {years.map((year, index) =>
        mayChange ? (
          <YearRow
            key={year.year}
            year={year}
            name={name}
            onChange={(changed) => setYear(index, changed)}
            onDrop={
              years.length > 1
                ? () => onChange({ ...season, years: years.filter((_each, own) => own !== index) })
                : null
            }
          />
        ) : (
          <p key={year.year}>
            {year.year}: {dayWords(year.firstDay, year.firstDay)} to {dayWords(year.lastDay, year.lastDay)}
          </p>
        ),
      )}
      {mayChange ? (
        <div className={styles.acts}>
          <Button
            size="small"
            onClick={() => onChange({ ...season, years: [...years, yearAfter(season, thisYear)] })}
          >
            Set days for {yearAfter(season, thisYear).year}
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
