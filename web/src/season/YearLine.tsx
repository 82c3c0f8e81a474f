import type { UpdateSeasonsDto } from '@yugator/contracts';
import { civilDate, dayNumber, parseCivilDate, seasonSpans } from '@yugator/core';
import type { Season } from '@yugator/core';
import styles from './season.module.css';

interface Props {
  readonly seasons: UpdateSeasonsDto['seasons'];
  readonly today: string;
  readonly years: readonly number[];
}

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sept', 'Oct', 'Nov', 'Dec'];

/** The season as `core` reckons with it; days that are half typed are left out. */
function asSeason({ id, name, years }: Props['seasons'][number]): Season {
  return {
    id: id ?? name,
    name,
    years: years.flatMap(({ year, firstDay, lastDay }) => {
      const [first, last] = [parseCivilDate(firstDay), parseCivilDate(lastDay)];
      return first && last && first <= last ? [{ year, firstDay: first, lastDay: last }] : [];
    }),
  };
}

/** The seasons of one year as bars from January to December; the same days stand in words beneath. */
function Year({ year, seasons, today }: { year: number; seasons: readonly Season[]; today: string }) {
  const first = dayNumber(civilDate(`${year}-01-01`));
  const last = dayNumber(civilDate(`${year}-12-31`));
  const percent = (day: number) => (100 * (day - first)) / (last - first + 1);
  const now = dayNumber(civilDate(today));
  return (
    <div className={styles.year}>
      <b className="fig">{year}</b>
      <div className={styles.line}>
        {MONTHS.map((month, index) => (
          <span key={month} className={styles.month} style={{ left: `${(100 * index) / 12}%` }}>
            {month}
          </span>
        ))}
        {seasons.map((season, index) => (
          <div key={season.id} className={styles.lane} style={{ top: 22 + index * 24 }}>
            {seasonSpans(season, first, last).map((span) => {
              const [from, to] = [Math.max(span.first, first), Math.min(span.last, last)];
              return (
                <span
                  key={span.first}
                  className={styles.bar}
                  style={{ left: `${percent(from)}%`, width: `${percent(to + 1) - percent(from)}%` }}
                >
                  {season.name}
                </span>
              );
            })}
          </div>
        ))}
        {now >= first && now <= last ? (
          <span className={styles.now} style={{ left: `${percent(now)}%` }} />
        ) : null}
        <div style={{ height: 26 + seasons.length * 24 }} />
      </div>
    </div>
  );
}

/** Several years ahead, each on a line. */
export function YearLine({ seasons, today, years }: Props) {
  const known = seasons.map(asSeason);
  return (
    <div className={styles.years} aria-hidden>
      {years.map((year) => (
        <Year key={year} year={year} seasons={known} today={today} />
      ))}
    </div>
  );
}
