import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import type { LoadAheadDto, MachineYearDto, SeasonPlanDto } from '@yugator/contracts';
import { useState } from 'react';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import { Plate } from '../page/Plate.js';
import { shortDayWords } from '../words/dates.js';
import { countWords } from '../words/figures.js';
import { cardsByMachine, columnsOf, ROWS, within } from './columns.js';
import type { Card } from './cards.js';
import type { ColumnOfDays } from './columns.js';
import { Bar, Minutes } from './Fullness.js';
import { planQueries } from './planQueries.js';
import styles from './plan.module.css';
import { dayOn, visitWords } from './wallWords.js';

const COLUMNS = columnsOf('year', 0);
const WEEK = 7;

/** What of a list by weeks falls into a column. */
function weeksOf<T>(list: readonly T[], { first, last }: ColumnOfDays): T[] {
  return list.filter((_each, week) => week * WEEK >= first && week * WEEK <= last);
}

function sum(minutes: readonly number[]): number {
  return minutes.reduce((whole, each) => whole + each, 0);
}

function Head({ load, column }: { load: LoadAheadDto; column: ColumnOfDays }) {
  const weeks = weeksOf(load.weeks, column);
  const [asked, there] = [
    sum(weeks.map(({ expected }) => expected)),
    sum(weeks.map(({ minutes }) => minutes)),
  ];
  const isOver = asked > there;
  return (
    <span className={isOver ? styles.over : undefined}>
      <Minutes taken={asked} there={there} />
      {isOver ? <b>more than there is</b> : null}
      <Bar taken={asked} there={there} />
    </span>
  );
}

function Cell({
  year,
  cards,
  column,
}: {
  year: MachineYearDto;
  cards: readonly Card[];
  column: ColumnOfDays;
}) {
  const minutes = sum(weeksOf(year.minutes, column));
  const planned = within(cards, column).length;
  return (
    <td data-rests={weeksOf(year.isAtRest, column).every(Boolean)}>
      {minutes ? (
        <span>
          <span className="fig">{minutes}</span> min
        </span>
      ) : null}
      {planned ? <span className={styles.count}>{visitWords(planned)} planned</span> : null}
    </td>
  );
}

/** A year at a glance, four weeks to a column: what each machine will ask of the workshop, when it rests, and what is planned. */
export function YearWall({ plan, cards }: { plan: SeasonPlanDto; cards: readonly Card[] }) {
  const [rows, setRows] = useState(ROWS);
  const { data: load, error, refetch } = useQuery(planQueries.load());
  if (!load) return error ? <Failed error={error} again={refetch} /> : <Loading />;
  const byMachine = cardsByMachine(cards);
  const place = new Map(plan.machines.map(({ id }, at) => [id, at]));
  return (
    <div className={styles.scroll}>
      <table className={styles.wall} data-zoom="year">
        <thead>
          <tr>
            <th scope="col">Machine</th>
            {COLUMNS.map((column) => (
              <th key={column.first} scope="col">
                {shortDayWords(dayOn(plan, column.first))}
                <Head load={load} column={column} />
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {load.machines.slice(0, rows).map((year) => (
            <tr key={year.machine.id}>
              <th scope="row">
                <Plate tag={year.machine.tag} to={year.machine.id} />
                <span className={styles.name}>{year.machine.name}</span>
              </th>
              {COLUMNS.map((column) => (
                <Cell
                  key={column.first}
                  year={year}
                  cards={byMachine.get(place.get(year.machine.id) ?? -1) ?? []}
                  column={column}
                />
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {load.machines.length > rows ? (
        <Button sx={{ mt: 1 }} onClick={() => setRows(rows + ROWS)}>
          {countWords(load.machines.length - rows, 'machine')} more: show them
        </Button>
      ) : null}
      <p className="soft">
        Four weeks to a column. Min: what is expected to be asked of the workshop, each machine coming when
        something of it is due, of the minutes that there are. Hatched: the machine rests.
      </p>
    </div>
  );
}
