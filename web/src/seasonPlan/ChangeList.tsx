import Checkbox from '@mui/material/Checkbox';
import { toTrouble } from '@yugator/contracts';
import type { SeasonPlanDto } from '@yugator/contracts';
import { planTroubles, TOLD_DAYS } from '@yugator/core';
import { useEffect, useMemo, useState } from 'react';
import { Plate } from '../page/Plate.js';
import { useSession } from '../session/useSession.js';
import { planOfCards } from './cards.js';
import type { Card } from './cards.js';
import { changeLines, changesOf, withMachine } from './changes.js';
import type { MachineChange } from './changes.js';
import { judgeUnder } from './moves.js';
import styles from './plan.module.css';
import { troubleWords } from './troubleWords.js';

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

const NONE: ReadonlyMap<number, string> = new Map();

/** What each change saves, reckoned one by one while the page stays quick; by machine. */
function useSaves(
  changes: readonly MachineChange[],
  plan: SeasonPlanDto,
  reach: number,
): ReadonlyMap<number, string> {
  const [known, setKnown] = useState<{ readonly of: unknown; readonly words: ReadonlyMap<number, string> }>({
    of: null,
    words: new Map(),
  });
  const words = known.of === changes ? known.words : NONE;
  const next = changes.find(({ machine }) => !words.has(machine));
  useEffect(() => {
    if (!next) return undefined;
    const turn = setTimeout(() =>
      setKnown({ of: changes, words: new Map(words).set(next.machine, savesWords(next, plan, reach)) }),
    );
    return () => clearTimeout(turn);
  });
  return words;
}

/** What the proposal changes, machine by machine, and why; each is taken over, or stays as it was published. */
export function ChangeList({ plan, published, proposed, cards, onChange }: Props) {
  const { today } = useSession();
  const changes = useMemo(() => changesOf(published, proposed), [published, proposed]);
  const troubles = useMemo(
    () => planTroubles(plan.instance, planOfCards(published, plan.instance), TOLD_DAYS),
    [plan, published],
  );
  const reach = Math.max(-1, ...published.map(({ day }) => day));
  const saves = useSaves(changes, plan, reach);
  if (changes.length === 0) return <p>It changes nothing of what is published.</p>;
  return (
    <details className={styles.sum}>
      <summary>
        What it changes, machine by machine, and why: take over all of it, or leave out what you do not want
      </summary>
      <ul className={styles.changes}>
        {changes.map((change) => {
          const { machine } = change;
          const tag = plan.machines[machine]?.tag ?? '';
          const why = [
            ...troubles
              .filter((trouble) => 'machine' in trouble && trouble.machine === machine)
              .map((trouble) => troubleWords(toTrouble(trouble, plan.machines, plan.today), today)),
            saves.get(machine) ?? '',
          ];
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
                {changeLines(change, plan).join('; ')}
                <span className="soft"> {why.filter(Boolean).join('; ')}</span>
              </span>
            </li>
          );
        })}
      </ul>
    </details>
  );
}
