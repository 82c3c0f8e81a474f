import type { SeasonPlanDto } from '@yugator/contracts';
import { dayLoads } from '@yugator/core';
import type { DayLoad } from '@yugator/core';
import { Plate } from '../page/Plate.js';
import { shortDayWords } from '../words/dates.js';
import { countWords } from '../words/figures.js';
import { minutesOf, planOfCards } from './cards.js';
import type { Card } from './cards.js';
import styles from './plan.module.css';
import { dayOn } from './wallWords.js';

/** How much of the time is seen at once, and into how many columns it is cut. */
export const ZOOMS = {
  fortnight: { days: 14, perColumn: 1, word: 'a fortnight' },
  quarter: { days: 84, perColumn: 7, word: 'twelve weeks' },
} as const;
export type Zoom = keyof typeof ZOOMS;

interface Props {
  readonly plan: SeasonPlanDto;
  readonly cards: readonly Card[];
  readonly zoom: Zoom;
  readonly from: number;
  readonly onOpen: (card: Card) => void;
}

/** A column of the wall: a day, or a week. */
interface ColumnOfDays {
  readonly first: number;
  readonly last: number;
}

function columnsOf(zoom: Zoom, from: number): ColumnOfDays[] {
  const { days, perColumn } = ZOOMS[zoom];
  return Array.from({ length: days / perColumn }, (_, at) => {
    const first = from + at * perColumn;
    return { first, last: first + perColumn - 1 };
  });
}

function within<T extends { readonly day: number }>(list: readonly T[], { first, last }: ColumnOfDays): T[] {
  return list.filter(({ day }) => day >= first && day <= last);
}

/** How full the workshop is: what is taken of what there is. */
function Fullness({ loads }: { loads: readonly DayLoad[] }) {
  if (loads.length === 0) return <span className={styles.closed}>closed</span>;
  const taken = loads.reduce((sum, load) => sum + load.taken, 0);
  const minutes = loads.reduce((sum, load) => sum + load.minutes, 0);
  const visits = loads.reduce((sum, load) => sum + load.visits, 0);
  const bays = loads.reduce((sum, load) => sum + load.bays, 0);
  const isOver = loads.some((load) => load.taken > load.minutes || load.visits > load.bays);
  return (
    <span className={isOver ? styles.over : undefined}>
      <span>
        <span className="fig">{Math.round(taken)}</span> of <span className="fig">{minutes}</span> min
      </span>{' '}
      <span>
        <span className="fig">{visits}</span> of <span className="fig">{bays}</span> in
      </span>
      {isOver ? <b> too full</b> : null}
      <span className={styles.bar} aria-hidden>
        <span style={{ width: `${Math.min(100, (100 * taken) / Math.max(1, minutes))}%` }} />
      </span>
    </span>
  );
}

/** Whether a machine is expected to rest through a column: it runs no hours. */
function rests({ instance }: SeasonPlanDto, machine: number, { first, last }: ColumnOfDays): boolean {
  const hours = instance.machines[machine]?.hoursBy ?? [];
  return (hours[Math.min(last + 1, hours.length - 1)] ?? 0) - (hours[first] ?? 0) < 0.05;
}

/** How many lines fall due in a column, as is expected. */
function dueIn({ machines, ...plan }: SeasonPlanDto, machine: number, column: ColumnOfDays): number {
  const [from, to] = [dayOn(plan, column.first), dayOn(plan, column.last)];
  const isFirst = column.first === 0;
  return (machines[machine]?.items ?? []).filter(({ expectedOn, state }) => {
    if (isFirst && (state === 'overdue' || state === 'noRecord')) return true;
    return expectedOn !== null && expectedOn <= to && (expectedOn >= from || isFirst);
  }).length;
}

function CardButton({ card, plan, onOpen }: Pick<Props, 'plan' | 'onOpen'> & { card: Card }) {
  const minutes = minutesOf(card, plan.instance);
  const tag = plan.machines[card.machine]?.tag ?? '';
  const on = shortDayWords(dayOn(plan, card.day));
  return (
    <button
      type="button"
      className={card.isLocked ? `${styles.card} ${styles.locked}` : styles.card}
      onClick={() => onOpen(card)}
    >
      <span className="visually-hidden">
        {tag}, {on}:{' '}
      </span>
      <span className="fig">{minutes}</span> min{' '}
      <span className={styles.count}>
        {countWords(card.items.length, 'line')}
        {card.isLocked ? ', locked' : ''}
      </span>
    </button>
  );
}

/** Days or weeks across, machines down: who comes when, what falls due, and how full the workshop is. */
export function PlanWall({ plan, cards, zoom, from, onOpen }: Props) {
  const columns = columnsOf(zoom, from);
  const loads = dayLoads(plan.instance, planOfCards(cards, plan.instance));
  const shown = plan.machines.flatMap((machine, at) =>
    machine.items.length || cards.some((card) => card.machine === at) ? [{ machine, at }] : [],
  );
  return (
    <div className={styles.scroll}>
      <table className={styles.wall} data-zoom={zoom}>
        <thead>
          <tr>
            <th scope="col">Machine</th>
            {columns.map((column) => (
              <th key={column.first} scope="col" data-open={within(loads, column).length > 0}>
                {shortDayWords(dayOn(plan, column.first))}
                <Fullness loads={within(loads, column)} />
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {shown.map(({ machine, at }) => (
            <tr key={machine.id}>
              <th scope="row">
                <Plate tag={machine.tag} to={machine.id} />
                <span className={styles.name}>{machine.name}</span>
              </th>
              {columns.map((column) => {
                const due = dueIn(plan, at, column);
                return (
                  <td
                    key={column.first}
                    data-open={within(loads, column).length > 0}
                    data-rests={rests(plan, at, column)}
                  >
                    {due ? <span className={styles.due}>{due} due</span> : null}
                    {within(
                      cards.filter((card) => card.machine === at),
                      column,
                    ).map((card) => (
                      <CardButton key={card.day} card={card} plan={plan} onOpen={onOpen} />
                    ))}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
      <p className="soft">
        Hatched: the machine rests. Due: lines that are expected to fall due then. Min: minutes of all hands;
        in: machines of those that find room.
      </p>
    </div>
  );
}

/** The same on a phone: the next days of the workshop, and who comes on each. */
export function PlanDays({ plan, cards, onOpen }: Pick<Props, 'plan' | 'cards' | 'onOpen'>) {
  const loads = dayLoads(plan.instance, planOfCards(cards, plan.instance));
  const next = loads.filter(({ visits }) => visits > 0).slice(0, 12);
  return (
    <ol className={styles.days}>
      {next.map((load) => (
        <li key={load.day}>
          <h2>{shortDayWords(dayOn(plan, load.day))}</h2>
          <Fullness loads={[load]} />
          <ul>
            {cards
              .filter(({ day }) => day === load.day)
              .map((card) => (
                <li key={card.machine}>
                  <Plate tag={plan.machines[card.machine]?.tag ?? ''} />
                  <CardButton card={card} plan={plan} onOpen={onOpen} />
                </li>
              ))}
          </ul>
        </li>
      ))}
    </ol>
  );
}
