import type { SeasonPlanDto } from '@yugator/contracts';
import { Plate } from '../page/Plate.js';
import { shortDayWords } from '../words/dates.js';
import { countWords } from '../words/figures.js';
import styles from './plan.module.css';

/** What became of the cards of the last fortnight, and of those whose work was done before their day. */
export function PastCards({ plan }: { plan: SeasonPlanDto }) {
  const past = plan.cards.filter(({ state }) => state !== 'planned');
  if (past.length === 0) return null;
  const missed = past.filter(({ state }) => state === 'missed').length;
  const done = past.length - missed;
  const words = [missed ? `${countWords(missed, 'visit')} missed` : '', done ? `${done} done` : ''];
  return (
    <details className={styles.past} open={missed > 0}>
      <summary>Of the last fortnight: {words.filter(Boolean).join(', ')}</summary>
      <ul>
        {past.map((card) => {
          const machine = plan.machines.find(({ id }) => id === card.machineId);
          const lines = (machine?.items ?? []).filter(({ id }) => card.itemIds.includes(id));
          return (
            <li key={`${card.machineId} ${card.on}`}>
              <Plate tag={machine?.tag ?? ''} to={card.machineId} />
              <span>{shortDayWords(card.on)}</span>
              <b>{card.state}</b>
              <span className="soft">{lines.map(({ name }) => name).join(', ')}</span>
            </li>
          );
        })}
      </ul>
      {missed ? <p className="soft">What was missed is planned again with the next proposal.</p> : null}
    </details>
  );
}
