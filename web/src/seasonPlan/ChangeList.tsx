import Checkbox from '@mui/material/Checkbox';
import type { SeasonPlanDto } from '@yugator/contracts';
import { planTroubles, TOLD_DAYS } from '@yugator/core';
import { useMemo } from 'react';
import { Plate } from '../page/Plate.js';
import { useSession } from '../session/useSession.js';
import { planOfCards } from './cards.js';
import type { Card } from './cards.js';
import { changeLines, changesOf, withMachine } from './changes.js';
import type { MachineChange } from './changes.js';
import { judgeUnder } from './moves.js';
import styles from './plan.module.css';
import { toTrouble, troubleWords } from './troubleWords.js';

interface Props {
  readonly plan: SeasonPlanDto;
  readonly published: readonly Card[];
  readonly proposed: readonly Card[];
  readonly cards: readonly Card[];
  readonly onChange: (cards: readonly Card[], did: string) => void;
}

/** What a change saves, against what is published for the machine; `reach`: the last day that anything is published for. */
function savesWords({ machine, before, after }: MachineChange, plan: SeasonPlanDto, reach: number): string {
  const judge = judgeUnder(after, plan, machine);
  // What goes beyond the published days is no part of the comparison.
  const beyond = after.filter(({ day }) => day > reach);
  if (after.length === beyond.length && before.length === 0) return '';
  const [old, now] = [judge([...before, ...beyond]), judge(after)];
  if (now === null) return '';
  if (old === null) return 'beside the rest it can no longer be as it was published';
  const less = Math.round(old - now);
  if (less === 0) return '';
  return less > 0 ? `saves ${less} min` : `costs ${-less} min, to make room for others`;
}

/** A change in words. */
interface ToldChange {
  readonly machine: number;
  readonly tag: string;
  readonly lines: string;
  readonly why: string;
}

function toldChanges(
  plan: SeasonPlanDto,
  published: readonly Card[],
  proposed: readonly Card[],
  today: string,
): ToldChange[] {
  const troubles = planTroubles(plan.instance, planOfCards(published, plan.instance), TOLD_DAYS);
  const reach = Math.max(-1, ...published.map(({ day }) => day));
  return changesOf(published, proposed).map((change) => {
    const { machine } = change;
    const why = [
      ...troubles
        .filter((trouble) => 'machine' in trouble && trouble.machine === machine)
        .map((trouble) => troubleWords(toTrouble(trouble, plan), today)),
      savesWords(change, plan, reach),
    ];
    return {
      machine,
      tag: plan.machines[machine]?.tag ?? '',
      lines: changeLines(change, plan).join('; '),
      why: why.filter(Boolean).join('; '),
    };
  });
}

/** What the proposal changes, machine by machine, and why; each is taken over, or stays as it was published. */
export function ChangeList({ plan, published, proposed, cards, onChange }: Props) {
  const { today } = useSession();
  const changes = useMemo(
    () => toldChanges(plan, published, proposed, today),
    [plan, published, proposed, today],
  );
  if (changes.length === 0) return <p>It changes nothing of what is published.</p>;
  return (
    <details className={styles.sum}>
      <summary>
        What it changes, machine by machine, and why: take over all of it, or leave out what you do not want
      </summary>
      <ul className={styles.changes}>
        {changes.map(({ machine, tag, lines, why }) => {
          const isTaken = changesOf(withMachine(cards, machine, proposed), cards).length === 0;
          return (
            <li key={machine}>
              <Checkbox
                size="small"
                checked={isTaken}
                slotProps={{ input: { 'aria-label': `Take over what changes for ${tag}` } }}
                onChange={() =>
                  onChange(
                    withMachine(cards, machine, isTaken ? published : proposed),
                    isTaken ? `${tag} left as it was published` : `${tag} taken over`,
                  )
                }
              />
              <Plate tag={tag} />
              <span>
                {lines}
                <span className="soft"> {why}</span>
              </span>
            </li>
          );
        })}
      </ul>
    </details>
  );
}
