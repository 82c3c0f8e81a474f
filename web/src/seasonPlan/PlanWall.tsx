import Button from '@mui/material/Button';
import type { SeasonPlanDto } from '@yugator/contracts';
import { dayLoads } from '@yugator/core';
import { useMemo, useState } from 'react';
import type { ButtonHTMLAttributes, Ref } from 'react';
import form_ from '../form/form.module.css';
import { Plate } from '../page/Plate.js';
import { shortDayWords } from '../words/dates.js';
import { countWords } from '../words/figures.js';
import { isOutlook, minutesOf, planOfCards } from './cards.js';
import type { Card } from './cards.js';
import {
  cardsByMachine,
  columnsOf,
  dueIn,
  hasMark,
  isNeededIn,
  partsIn,
  rests,
  ROWS,
  within,
} from './columns.js';
import type { ColumnOfDays, Zoom } from './columns.js';
import { Fullness } from './Fullness.js';
import { DragCards, DropCell, useDragCard } from './DragCards.js';
import styles from './plan.module.css';
import { dayOn, edgeWords, whenWords, workWords } from './wallWords.js';

interface Props {
  readonly plan: SeasonPlanDto;
  readonly cards: readonly Card[];
  readonly zoom: Zoom;
  readonly from: number;
  readonly onOpen: (card: Card) => void;
  /** left out where cards are not to be moved */
  readonly onMove?: ((card: Card, day: number) => void) | undefined;
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
        {plan.machines[card.machine]?.tag ?? ''}, {whenWords(plan, card.day)}:{' '}
      </span>
      <span className="fig">{minutes}</span> min{' '}
      <span className={styles.count}>
        {[workWords(plan, card), edgeWords(plan, card), card.isLocked ? 'locked' : '']
          .filter(Boolean)
          .join(', ')}
      </span>
    </button>
  );
}

function DraggedCard(props: CardProps) {
  return <CardButton {...props} {...useDragCard(props.card)} />;
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
  const byMachine = useMemo(() => cardsByMachine(cards), [cards]);
  const every = plan.machines.flatMap((machine, at) => {
    const own = byMachine.get(at) ?? [];
    return machine.items.length || own.length ? [{ machine, at, own }] : [];
  });
  const all = isAll
    ? every
    : every.filter(({ at, own }) => columns.some((column) => hasMark(plan, own, at, column)));
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
          {all.slice(0, rows).map(({ machine, at, own }) => (
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
                      {within(own, column).map((card) => (
                        <CardOf key={card.day} card={card} plan={plan} onOpen={onOpen} />
                      ))}
                    </>
                  ),
                };
                // Nobody is told of an outlook: what is moved there would be taken off.
                return onMove && open && !isOutlook(open.day) ? (
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
