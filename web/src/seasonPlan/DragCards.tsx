import {
  closestCenter,
  DndContext,
  KeyboardCode,
  KeyboardSensor,
  PointerSensor,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import type {
  Announcements,
  CollisionDetection,
  DragEndEvent,
  DragOverEvent,
  KeyboardCoordinateGetter,
} from '@dnd-kit/core';
import type { SeasonPlanDto } from '@yugator/contracts';
import { useEffect, useRef, useState } from 'react';
import type { ReactNode, TdHTMLAttributes } from 'react';
import { useSession } from '../session/useSession.js';
import { shortDayWords } from '../words/dates.js';
import type { Card } from './cards.js';
import { cardWords, moneyOf, moveEffect, moveWords } from './moves.js';
import styles from './plan.module.css';
import { dayOn } from './wallWords.js';

/** A card that is dragged begins to move after so many pixels; until then it is pressed. */
const BEGINS_AFTER = 6;
const KEYS = {
  start: [KeyboardCode.Space],
  cancel: [KeyboardCode.Esc],
  end: [KeyboardCode.Space, KeyboardCode.Enter],
};
const INSTRUCTIONS = {
  draggable:
    'Enter opens the visit. The space bar picks it up; then the arrow keys move it from one day of the workshop to the next, the space bar puts it down, and Escape leaves it where it was.',
};

const ANNOUNCEMENTS: Announcements = {
  onDragStart: () => 'Picked up.',
  // What is seen of it is said as well.
  onDragOver: () => undefined,
  onDragEnd: () => 'Put down.',
  onDragCancel: () => 'Left where it was.',
};

interface OfMachine {
  readonly machine: number;
  readonly day: number;
}

function of(data: { readonly current?: Record<string, unknown> | undefined }): OfMachine | null {
  const { machine, day } = data.current ?? {};
  return typeof machine === 'number' && typeof day === 'number' ? { machine, day } : null;
}

/** A card falls on days of its own machine only. */
const onOwnRow: CollisionDetection = (args) => {
  const machine = of(args.active.data)?.machine;
  const droppableContainers = args.droppableContainers.filter(({ data }) => of(data)?.machine === machine);
  return closestCenter({ ...args, droppableContainers });
};

/** Arrow keys go from one day of the workshop to the next. */
const toNextDay: KeyboardCoordinateGetter = (event, { context }) => {
  const step = event.code === 'ArrowRight' ? 1 : event.code === 'ArrowLeft' ? -1 : 0;
  const machine = context.active ? of(context.active.data)?.machine : undefined;
  if (step === 0 || machine === undefined) return undefined;
  event.preventDefault();
  const days = context.droppableContainers
    .getEnabled()
    .flatMap((each) => {
      const own = of(each.data);
      const rect = context.droppableRects.get(each.id);
      return own?.machine === machine && rect ? [{ id: each.id, day: own.day, rect }] : [];
    })
    .sort((a, b) => a.day - b.day);
  const at = days.findIndex(({ id }) => id === context.over?.id);
  const next = days[at + step]?.rect;
  const { collisionRect } = context;
  // So that the middles of both meet, which is what counts as being there.
  return next && collisionRect
    ? {
        x: next.left + (next.width - collisionRect.width) / 2,
        y: next.top + (next.height - collisionRect.height) / 2,
      }
    : undefined;
};

interface Props {
  readonly plan: SeasonPlanDto;
  readonly cards: readonly Card[];
  readonly onMove: (card: Card, day: number) => void;
  readonly children: ReactNode;
}

/** Lets cards be dragged from day to day, and says at once what would come of it. */
export function DragCards({ plan, cards, onMove, children }: Props) {
  const { site } = useSession();
  const [words, setWords] = useState('');
  const movedTo = useRef<string | null>(null);
  // Who moves it by keys goes on from where it lies now.
  useEffect(() => {
    if (!movedTo.current) return;
    document.querySelector<HTMLElement>(`[data-card="${movedTo.current}"]`)?.focus();
    movedTo.current = null;
  }, [cards]);
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: BEGINS_AFTER } }),
    useSensor(KeyboardSensor, { keyboardCodes: KEYS, coordinateGetter: toNextDay }),
  );
  /** The card that is dragged, and the day it is over; null where it is over none, or where it was. */
  const target = ({ active, over }: DragOverEvent | DragEndEvent) => {
    const [from, to] = [of(active.data), over ? of(over.data) : null];
    const card = cards.find((each) => each.machine === from?.machine && each.day === from.day);
    return card && to && to.machine === card.machine ? { card, day: to.day } : null;
  };
  const effectWords = (event: DragOverEvent | DragEndEvent) => {
    const found = target(event);
    if (!found || found.day === found.card.day) return '';
    const { card, day } = found;
    const effect = moveWords(moveEffect(plan, cards, card, day), moneyOf(plan, site.currency));
    return `${cardWords(plan, card)} to ${shortDayWords(dayOn(plan, day))}: ${effect}`;
  };
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={onOwnRow}
      accessibility={{
        announcements: ANNOUNCEMENTS,
        screenReaderInstructions: INSTRUCTIONS,
        restoreFocus: false,
      }}
      onDragOver={(event) => setWords(effectWords(event))}
      onDragCancel={() => setWords('')}
      onDragEnd={(event) => {
        setWords('');
        const found = target(event);
        if (!found || found.day === found.card.day) return;
        if (event.activatorEvent instanceof KeyboardEvent)
          movedTo.current = `${found.card.machine} ${found.day}`;
        onMove(found.card, found.day);
      }}
    >
      {children}
      <p className={words ? styles.effect : styles.noEffect} role="status" aria-label="What comes of it">
        {words}
      </p>
    </DndContext>
  );
}

/** What a card needs to be dragged. */
export function useDragCard({ machine, day }: OfMachine) {
  const { attributes, listeners, setNodeRef, transform, isDragging } = useDraggable({
    id: `card ${machine} ${day}`,
    data: { machine, day },
  });
  const { 'aria-describedby': describedBy } = attributes;
  return {
    ref: setNodeRef,
    ...listeners,
    'aria-describedby': describedBy,
    'data-card': `${machine} ${day}`,
    'data-dragged': isDragging,
    style: transform ? { transform: `translate(${transform.x}px, ${transform.y}px)` } : undefined,
  };
}

/** A day of a machine onto which its cards may be dragged. */
export function DropCell({ machine, day, ...cell }: TdHTMLAttributes<HTMLTableCellElement> & OfMachine) {
  const { setNodeRef, isOver } = useDroppable({ id: `day ${machine} ${day}`, data: { machine, day } });
  return <td ref={setNodeRef} data-over={isOver} {...cell} />;
}
