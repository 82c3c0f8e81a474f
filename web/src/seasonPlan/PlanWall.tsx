import Button from '@mui/material/Button';
import type { SeasonPlanDto } from '@yugator/contracts';
import { dayLoads } from '@yugator/core';
import type { DayLoad } from '@yugator/core';
import { useState } from 'react';
import type { ButtonHTMLAttributes, Ref } from 'react';
import form_ from '../form/form.module.css';
import { Plate } from '../page/Plate.js';
import { shortDayWords } from '../words/dates.js';
import { countWords } from '../words/figures.js';
import { minutesOf, planOfCards } from './cards.js';
import type { Card } from './cards.js';
import { DragCards, DropCell, useDragCard } from './DragCards.js';
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
  /** left out where cards are not to be moved */
  readonly onMove?: ((card: Card, day: number) => void) | undefined;
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

interface CardProps extends Pick<Props, 'plan' | 'onOpen'>, ButtonHTMLAttributes<HTMLButtonElement> {
  readonly card: Card;
  readonly ref?: Ref<HTMLButtonElement>;
}

function CardButton({ card, plan, onOpen, ...button }: CardProps) {
  const minutes = minutesOf(card, plan.instance);
  return (
    <button
      type="button"
      className={card.isLocked ? `${styles.card} ${styles.locked}` : styles.card}
      onClick={() => onOpen(card)}
      {...button}
    >
      <span className="visually-hidden">
        {plan.machines[card.machine]?.tag ?? ''}, {shortDayWords(dayOn(plan, card.day))}:{' '}
      </span>
      <span className="fig">{minutes}</span> min{' '}
      <span className={styles.count}>
        {countWords(card.items.length, 'line')}
        {card.isLocked ? ', locked' : ''}
      </span>
    </button>
  );
}

function DraggedCard(props: CardProps) {
  return <CardButton {...props} {...useDragCard(props.card)} />;
}

/** Ordered parts that arrive for a machine in a column, by name. */
function partsIn({ machines, instance }: SeasonPlanDto, machine: number, column: ColumnOfDays): string[] {
  const own = instance.machines[machine];
  const parts = (machines[machine]?.items ?? []).flatMap(({ waitsFor }, place) =>
    waitsFor.length && within([{ day: own?.items[place]?.notBefore ?? -1 }], column).length ? waitsFor : [],
  );
  return [...new Set(parts)];
}

function isNeededIn({ instance }: SeasonPlanDto, machine: number, { first, last }: ColumnOfDays): boolean {
  return (instance.machines[machine]?.blocked ?? []).some((day) => day >= first && day <= last);
}

/** Whether a machine has anything to show in a column. */
function hasMark(
  plan: SeasonPlanDto,
  cards: readonly Card[],
  machine: number,
  column: ColumnOfDays,
): boolean {
  return (
    cards.some((card) => card.machine === machine && card.day >= column.first && card.day <= column.last) ||
    dueIn(plan, machine, column) > 0 ||
    partsIn(plan, machine, column).length > 0 ||
    (isNeededIn(plan, machine, column) && !rests(plan, machine, column))
  );
}

/** What of a machine falls into a column besides its cards: lines due, parts that arrive, days on which it is needed. */
function Marks({ plan, machine, column }: { plan: SeasonPlanDto; machine: number; column: ColumnOfDays }) {
  const due = dueIn(plan, machine, column);
  const parts = partsIn(plan, machine, column).join(', ');
  return (
    <>
      {due ? <span className={styles.due}>{due} due</span> : null}
      {parts ? (
        <span className={styles.parts} title={`Arrives: ${parts}`}>
          parts in<span className="visually-hidden">: {parts}</span>
        </span>
      ) : null}
      {isNeededIn(plan, machine, column) ? <span className={styles.parts}>needed</span> : null}
    </>
  );
}

/** Machines that are shown at once; more on demand. */
const ROWS = 60;

/** Days or weeks across, machines down: who comes when, what falls due, and how full the workshop is. */
export function PlanWall(props: Props) {
  const { plan, cards, onMove } = props;
  return onMove ? (
    <DragCards plan={plan} cards={cards} onMove={onMove}>
      <WallTable {...props} />
    </DragCards>
  ) : (
    <WallTable {...props} />
  );
}

function WallTable({ plan, cards, zoom, from, onOpen, onMove }: Props) {
  const [rows, setRows] = useState(ROWS);
  const [isAll, setAll] = useState(false);
  const columns = columnsOf(zoom, from);
  const loads = dayLoads(plan.instance, planOfCards(cards, plan.instance));
  const every = plan.machines.flatMap((machine, at) =>
    machine.items.length || cards.some((card) => card.machine === at) ? [{ machine, at }] : [],
  );
  const all = isAll
    ? every
    : every.filter(({ at }) => columns.some((column) => hasMark(plan, cards, at, column)));
  const hidden = every.length - all.length;
  const CardOf = onMove ? DraggedCard : CardButton;
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
          {all.slice(0, rows).map(({ machine, at }) => (
            <tr key={machine.id}>
              <th scope="row">
                <Plate tag={machine.tag} to={machine.id} />
                <span className={styles.name}>{machine.name}</span>
              </th>
              {columns.map((column) => {
                const [open] = within(loads, column);
                const cell = {
                  'data-open': open !== undefined,
                  'data-rests': rests(plan, at, column),
                  children: (
                    <>
                      <Marks plan={plan} machine={at} column={column} />
                      {within(
                        cards.filter((card) => card.machine === at),
                        column,
                      ).map((card) => (
                        <CardOf key={card.day} card={card} plan={plan} onOpen={onOpen} />
                      ))}
                    </>
                  ),
                };
                return onMove && open ? (
                  <DropCell key={column.first} machine={at} day={open.day} {...cell} />
                ) : (
                  <td key={column.first} {...cell} />
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
      <div className={form_.acts} style={{ marginTop: 8 }}>
        {all.length > rows ? (
          <Button onClick={() => setRows(rows + ROWS)}>
            {countWords(all.length - rows, 'machine')} more: show them
          </Button>
        ) : null}
        {hidden > 0 || isAll ? (
          <Button variant="text" onClick={() => setAll(!isAll)}>
            {isAll
              ? 'Only machines with something in these days'
              : `${countWords(hidden, 'machine')} with nothing in these days: show them`}
          </Button>
        ) : null}
      </div>
      <p className="soft">
        Hatched: the machine rests. Due: lines that are expected to fall due then. Min: minutes of all hands;
        in: machines of those that find room.{onMove ? ' Drag a visit to another day, or press it.' : ''}
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
