import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import type { SeasonPlanDto } from '@yugator/contracts';
import { visitMinutesOf } from '@yugator/core';
import { useMemo, useState } from 'react';
import { sentenceOf } from '../api/problem.js';
import { Choose } from '../form/Choose.js';
import { useOpenJob } from '../job/useOpenJob.js';
import { Caution } from '../page/Caution.js';
import { useIsOneOf, useSession } from '../session/useSession.js';
import { nearDayWords, shortDayWords } from '../words/dates.js';
import { isOutlook, isSame, minutesOf, moved } from './cards.js';
import type { Card } from './cards.js';
import { cardWords, judgeUnder, moneyOf, movedWords, moveEffect, moveWords } from './moves.js';
import type { Judge } from './moves.js';
import styles from './plan.module.css';
import { dayOn, edgeWords, whenWords } from './wallWords.js';

interface Props {
  readonly plan: SeasonPlanDto;
  readonly cards: readonly Card[];
  readonly card: Card;
  /** `did`: what was done, in words */
  readonly onChange: (cards: readonly Card[], did: string) => void;
  readonly onLeave: () => void;
}

/** What the workshop day before and the one after would cost. */
function neighbourWords(plan: SeasonPlanDto, cards: readonly Card[], card: Card, judge: Judge): string {
  const days = plan.instance.days.map(({ day }) => day);
  const other = (word: string, day: number | undefined) => {
    if (day === undefined) return '';
    const { minutes } = moveEffect(plan, cards, card, day, judge);
    const on = `${word}, ${shortDayWords(dayOn(plan, day))},`;
    if (minutes === null) return `${on} it cannot be.`;
    if (minutes === 0) return `${on} it costs the same.`;
    return minutes > 0 ? `${on} it costs ${minutes} min more.` : `${on} it costs ${-minutes} min less.`;
  };
  return [
    other(
      'A workshop day earlier',
      days.findLast((day) => day < card.day),
    ),
    other(
      'A workshop day later',
      days.find((day) => day > card.day),
    ),
  ]
    .filter(Boolean)
    .join(' ');
}

/** What leaving a line out of a card would cost; of a locked one, which is settled, nothing is said. */
function leaveOutWords(cards: readonly Card[], card: Card, place: number, judge: Judge): string {
  if (card.isLocked) return '';
  const others = cards.filter((each) => !isSame(each, card));
  const items = card.items.filter((each) => each !== place);
  const before = judge(cards);
  const then = judge(items.length ? [...others, { ...card, items }] : others);
  if (before === null || then === null) return '';
  const more = Math.round(then - before);
  return more > 0 ? `left out, it would cost ${more} min more` : '';
}

/** A card of the wall: what is done, why then, and what can be done with it. */
export function CardDialog({ plan, cards, card, onChange, onLeave }: Props) {
  const { site, today } = useSession();
  const mayPlan = useIsOneOf('crewLead');
  const [to, setTo] = useState(String(card.day));
  const judge = useMemo(() => judgeUnder(cards, plan, card.machine), [cards, plan, card.machine]);
  const machine = plan.machines[card.machine];
  const own = plan.instance.machines[card.machine];
  const open = useOpenJob();
  if (!machine || !own) return null;
  const change = (next: readonly Card[], did: string) => {
    onChange(next, did);
    onLeave();
  };
  const edge = edgeWords(plan, card);
  const day = Number(to);
  // A job has all open defects of its machine by itself.
  const itemIds = card.items.flatMap((place) => {
    const item = machine.items[place];
    return item?.severity === null ? [item.id] : [];
  });
  return (
    <Dialog open onClose={onLeave} fullWidth maxWidth="sm" aria-labelledby="card-title">
      <DialogTitle id="card-title">
        {machine.tag}, {whenWords(plan, card.day)}
      </DialogTitle>
      <DialogContent>
        <p>
          {machine.name}
          {edge ? `, ${edge}` : ''}: <b className="fig">{minutesOf(card, plan.instance)}</b> min, of it{' '}
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
                    item?.expectedOn
                      ? `${item.severity ? 'by' : 'due'} ${nearDayWords(item.expectedOn, today)}`
                      : '',
                    leaveOutWords(cards, card, place, judge),
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
              choices={plan.instance.days
                .filter((each) => each.day === card.day || !isOutlook(each.day))
                .map((each) => [
                  String(each.day),
                  `${whenWords(plan, each.day)}, ${nearDayWords(dayOn(plan, each.day), today)}`,
                ])}
              onChange={setTo}
            />
            <p aria-live="polite" className="soft">
              {day === card.day
                ? neighbourWords(plan, cards, card, judge)
                : moveWords(moveEffect(plan, cards, card, day, judge), moneyOf(plan, site.currency))}
            </p>
          </>
        ) : null}
        {open.error ? <Caution title="Not opened">{<p>{sentenceOf(open.error)}</p>}</Caution> : null}
      </DialogContent>
      <DialogActions sx={{ flexWrap: 'wrap', gap: '6px' }}>
        <Button onClick={onLeave}>Leave it</Button>
        {mayPlan ? (
          <>
            <Button
              variant="text"
              onClick={() =>
                change(
                  cards.filter((each) => !isSame(each, card)),
                  `${cardWords(plan, card)} taken off`,
                )
              }
            >
              Take it off
            </Button>
            <Button
              onClick={() =>
                change(
                  cards.map((each) => (isSame(each, card) ? { ...card, isLocked: !card.isLocked } : each)),
                  `${cardWords(plan, card)} ${card.isLocked ? 'unlocked' : 'locked'}`,
                )
              }
            >
              {card.isLocked ? 'Unlock' : 'Lock on this day'}
            </Button>
          </>
        ) : null}
        {mayPlan && day !== card.day ? (
          <Button
            variant="contained"
            color="primary"
            onClick={() => change(moved(cards, card, day), movedWords(plan, card, day))}
          >
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
