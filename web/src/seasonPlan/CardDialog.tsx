import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import type { JobDto, SeasonPlanDto } from '@yugator/contracts';
import { dayLoads, visitMinutesOf, visitsCost } from '@yugator/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { sentenceOf } from '../api/problem.js';
import { useWrite } from '../api/useWrite.js';
import { Choose } from '../form/Choose.js';
import { Caution } from '../page/Caution.js';
import { useIsOneOf, useSession } from '../session/useSession.js';
import { nearDayWords } from '../words/dates.js';
import { isSame, minutesOf, moved, planOfCards } from './cards.js';
import type { Card } from './cards.js';
import styles from './plan.module.css';
import { dayOn, shortDay } from './wallWords.js';

interface Props {
  readonly plan: SeasonPlanDto;
  readonly cards: readonly Card[];
  readonly card: Card;
  readonly onChange: (cards: readonly Card[]) => void;
  readonly onLeave: () => void;
}

/** What the visits of a card's machine cost, with cards as they would be; null where they may not be. */
function costOf({ instance }: SeasonPlanDto, cards: readonly Card[], machine: number): number | null {
  return visitsCost(instance, machine, planOfCards(cards, instance)[machine] ?? []);
}

/** What it costs to have a card on another day, and whether that is too full then. */
function moveWords(plan: SeasonPlanDto, cards: readonly Card[], card: Card, day: number): string {
  const after = moved(cards, card, day);
  const [before, then] = [costOf(plan, cards, card.machine), costOf(plan, after, card.machine)];
  const load = dayLoads(plan.instance, planOfCards(after, plan.instance)).find((each) => each.day === day);
  const isFull = load !== undefined && (load.taken > load.minutes || load.visits > load.bays);
  const full = isFull ? ' The day is too full then.' : '';
  if (then === null || before === null)
    return `Not there: something of it would be done again too soon, or before it can be.${full}`;
  const more = Math.round(then - before);
  if (more === 0) return `It costs the same.${full}`;
  return more > 0
    ? `It costs ${more} min more: work, lateness and life thrown away.${full}`
    : `It saves ${-more} min.${full}`;
}

/** What leaving a line out of a card would cost. */
function leaveOutWords(plan: SeasonPlanDto, cards: readonly Card[], card: Card, place: number): string {
  const others = cards.filter((each) => !isSame(each, card));
  const items = card.items.filter((each) => each !== place);
  const [before, then] = [
    costOf(plan, cards, card.machine),
    costOf(plan, items.length ? [...others, { ...card, items }] : others, card.machine),
  ];
  if (before === null || then === null) return '';
  const more = Math.round(then - before);
  return more > 0 ? `left out, it would cost ${more} min more` : '';
}

/** A card of the wall: what is done, why then, and what can be done with it. */
export function CardDialog({ plan, cards, card, onChange, onLeave }: Props) {
  const { today } = useSession();
  const navigate = useNavigate();
  const mayPlan = useIsOneOf('crewLead');
  const [to, setTo] = useState(String(card.day));
  const machine = plan.machines[card.machine];
  const own = plan.instance.machines[card.machine];
  const open = useWrite<JobDto, { machineId: string; itemIds: string[] }>(
    (body) => ({ method: 'POST', path: '/jobs', body }),
    ['jobs', 'plan'],
    ({ id }) => void navigate(`/jobs/${id}`),
  );
  if (!machine || !own) return null;
  const change = (next: readonly Card[]) => {
    onChange(next);
    onLeave();
  };
  const day = Number(to);
  const itemIds = card.items.flatMap((place) => machine.items[place]?.id ?? []);
  return (
    <Dialog open onClose={onLeave} fullWidth maxWidth="sm" aria-labelledby="card-title">
      <DialogTitle id="card-title">
        {machine.tag}, {shortDay(dayOn(plan, card.day))}
      </DialogTitle>
      <DialogContent>
        <p>
          {machine.name}: <b className="fig">{minutesOf(card, plan.instance)}</b> min, of it{' '}
          {Math.round(visitMinutesOf(own, []))} to fetch, look over and write up.
        </p>
        <ul className={styles.work}>
          {card.items.map((place) => {
            const item = machine.items[place];
            return (
              <li key={place}>
                {item?.name}
                <span className="soft">
                  {' '}
                  {[
                    `${Math.round(own.items[place]?.minutes ?? 0)} min`,
                    item?.expectedOn ? `due ${nearDayWords(item.expectedOn, today)}` : '',
                    leaveOutWords(plan, cards, card, place),
                  ]
                    .filter(Boolean)
                    .join(', ')}
                </span>
              </li>
            );
          })}
        </ul>
        {mayPlan ? (
          <>
            <Choose<string>
              label="On"
              size="small"
              fullWidth
              value={to}
              choices={plan.instance.days.map((each) => [
                String(each.day),
                `${shortDay(dayOn(plan, each.day))}, ${nearDayWords(dayOn(plan, each.day), today)}`,
              ])}
              onChange={setTo}
            />
            <p aria-live="polite" className="soft">
              {day === card.day ? 'As it is planned.' : moveWords(plan, cards, card, day)}
            </p>
          </>
        ) : null}
        {open.error ? <Caution title="Not opened">{<p>{sentenceOf(open.error)}</p>}</Caution> : null}
      </DialogContent>
      <DialogActions sx={{ flexWrap: 'wrap', gap: '6px' }}>
        <Button onClick={onLeave}>Leave it</Button>
        {mayPlan ? (
          <>
            <Button variant="text" onClick={() => change(cards.filter((each) => !isSame(each, card)))}>
              Take it off
            </Button>
            <Button
              onClick={() =>
                change(
                  cards.map((each) => (isSame(each, card) ? { ...card, isLocked: !card.isLocked } : each)),
                )
              }
            >
              {card.isLocked ? 'Unlock' : 'Lock on this day'}
            </Button>
          </>
        ) : null}
        {mayPlan && day !== card.day ? (
          <Button variant="contained" color="primary" onClick={() => change(moved(cards, card, day))}>
            Move it
          </Button>
        ) : (
          <Button
            variant="contained"
            color="primary"
            loading={open.isPending}
            onClick={() => open.mutate({ machineId: machine.id, itemIds })}
          >
            Open the job
          </Button>
        )}
      </DialogActions>
    </Dialog>
  );
}
