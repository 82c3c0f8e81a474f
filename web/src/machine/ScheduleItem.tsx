import type { DueLineDto, MachineDetailDto } from '@yugator/contracts';
import { bites, mayBeDoneNow } from '@yugator/core';
import { DoneNow } from '../walk/DoneNow.js';
import { baselineWords, rangeWords, standingWords, unresolvedWords } from '../schedule/dueWords.js';
import { STATE_COLOUR, STATE_WORDS } from '../schedule/stateWords.js';
import { ruleWords } from '../schedule/triggerWords.js';
import { useIsOneOf, useSession } from '../session/useSession.js';
import { DeclareLast } from './DeclareLast.js';
import styles from '../schedule/hourTape.module.css';
import { TapeLane } from '../schedule/TapeLane.js';
import type { TapeScale } from '../schedule/tapeScale.js';

interface Props {
  readonly line: DueLineDto;
  readonly machine: MachineDetailDto;
  readonly scale: TapeScale;
  readonly width: number;
}

/** The standing of an item in a few words, with the second thing to know beneath. */
function Standing({ line }: { line: DueLineDto }) {
  const { today } = useSession();
  const beneath = rangeWords(line, today) || baselineWords(line.baseline, today);
  return (
    <span className={styles.standing}>
      <b style={{ color: STATE_COLOUR[line.state] }}>{standingWords(line, today)}</b>
      <span className={styles.small}>
        <span className="visually-hidden">{STATE_WORDS[line.state]}; </span>
        {beneath}
        {unresolvedWords(line).map((words) => (
          <span key={words} style={{ display: 'block' }}>
            {words}
          </span>
        ))}
      </span>
    </span>
  );
}

/** One item of a machine's schedule on the tape. */
export function ScheduleItem({ line, machine, scale, width }: Props) {
  const isLead = useIsOneOf('crewLead');
  const isMechanic = useIsOneOf('crewLead', 'mechanic');
  const isOperator = useIsOneOf('operator') && line.place === 'walk';
  const mayDo = (isMechanic || isOperator) && mayBeDoneNow(line.action, line.minutes, line.place);
  const rules = line.limits.map(({ rule }) => rule);
  return (
    <li className={styles.row}>
      <span className={styles.name}>
        <b>{line.itemName}</b>
        <br />
        <span className={styles.small}>
          {rules.length ? ruleWords(rules, (other) => nameOf(machine, other)) : `${line.minutes} min`}
        </span>
      </span>
      <TapeLane line={line} machine={machine} scale={scale} width={width} />
      <span className={styles.side}>
        <Standing line={line} />
        <span className={styles.acts}>
          {mayDo && bites(line.state) ? (
            <DoneNow machine={machine} lines={[line]} word="Done" label={`Done: ${line.itemName}`} />
          ) : null}
          {line.baseline.kind === 'noRecord' && line.state === 'noRecord' && isLead ? (
            <DeclareLast line={line} machine={machine} />
          ) : null}
        </span>
      </span>
    </li>
  );
}

function nameOf(machine: MachineDetailDto, itemId: string): string {
  return machine.lines.find((line) => line.itemId === itemId)?.itemName ?? 'another item';
}
