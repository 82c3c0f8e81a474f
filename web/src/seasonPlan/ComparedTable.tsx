import type { PlanSums } from '@yugator/core';
import type { MoneyOf } from './moves.js';
import styles from './plan.module.css';
import type { Compared } from './useWhatIf.js';

const ROWS = [
  ['visits', 'Visits', 'count'],
  ['minutes', 'Work, in minutes', 'minutes'],
  ['late', 'Lateness, worth in minutes', 'minutes'],
  ['unready', 'Not ready or not laid up, worth in minutes', 'minutes'],
  ['thrownAway', 'Life thrown away, worth in minutes', 'minutes'],
  ['total', 'All together, with what is carried on', 'minutes'],
] as const satisfies readonly (readonly [keyof PlanSums, string, 'count' | 'minutes'])[];

/** What both plans come to, side by side. */
export function ComparedTable({ asIs, supposed, money }: Compared & { money: MoneyOf }) {
  const figure = (value: number, unit: 'count' | 'minutes') => {
    const rounded = Math.round(value);
    return unit === 'count' ? String(rounded) : `${rounded}${money(rounded)}`;
  };
  return (
    <table className={styles.load}>
      <thead>
        <tr>
          <th scope="col">In the coming twelve weeks</th>
          <th scope="col">As it is</th>
          <th scope="col">As supposed</th>
          <th scope="col">More</th>
        </tr>
      </thead>
      <tbody>
        {ROWS.map(([key, words, unit]) => {
          const more = Math.round(supposed[key]) - Math.round(asIs[key]);
          return (
            <tr key={key}>
              <th scope="row">{words}</th>
              <td>{figure(asIs[key], unit)}</td>
              <td>{figure(supposed[key], unit)}</td>
              <td>{more > 0 ? `+${more}` : String(more).replace('-', '\u2212')}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
