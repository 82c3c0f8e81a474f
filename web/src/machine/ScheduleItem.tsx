import Checkbox from '@mui/material/Checkbox';
import type { DueLineDto, MachineDto } from '@yugator/contracts';
import { baselineWords, limitWords } from '../schedule/dueWords.js';
import { ruleWords } from '../schedule/triggerWords.js';
import { HoursTape } from '../schedule/HoursTape.js';
import { tapeMarks } from '../schedule/hoursTape.js';
import { StateMark } from '../schedule/StateShape.js';
import { STATE_COLOUR, STATE_WORDS } from '../schedule/stateWords.js';
import { useIsOneOf, useSession } from '../session/useSession.js';
import { DeclareLast } from './DeclareLast.js';
import styles from './machine.module.css';

interface Props {
  readonly line: DueLineDto;
  readonly machine: MachineDto;
  readonly chosen: boolean;
  /** null where items cannot be chosen */
  readonly onChoose: ((on: boolean) => void) | null;
}

/** One item of a machine's schedule. */
export function ScheduleItem({ line, machine, chosen, onChoose }: Props) {
  const { today } = useSession();
  const isLead = useIsOneOf('crewLead');
  const [deciding, ...others] = line.limits;
  const id = `item-${line.itemId}`;
  return (
    <li className={styles.item}>
      {onChoose ? (
        <Checkbox
          id={id}
          checked={chosen}
          onChange={(_event, on) => onChoose(on)}
          sx={{ width: 44, height: 44 }}
        />
      ) : (
        <span />
      )}
      <label htmlFor={onChoose ? id : undefined}>
        <b>{line.itemName}</b>
        <br />
        <span className={styles.small}>
          {line.limits.length ? `${ruleWords(line.limits.map(({ rule }) => rule))}, ` : ''}
          {line.minutes} min
        </span>
      </label>
      <span className={styles.standing}>
        <StateMark state={line.state} />
        <span>
          <b style={{ color: STATE_COLOUR[line.state] }}>
            {deciding ? limitWords(deciding, today) : 'never recorded'}
          </b>
          <span className={styles.small}>
            {STATE_WORDS[line.state]}; {baselineWords(line.baseline, today)}
            {others.map((limit) => `; ${limitWords(limit, today)}`)}
          </span>
          {line.state === 'noRecord' && isLead ? (
            <div style={{ margin: '4px 0' }}>
              <DeclareLast line={line} machine={machine} />
            </div>
          ) : null}
        </span>
      </span>
      <HoursTape marks={tapeMarks([line], machine.hoursPerWeek, today)} />
    </li>
  );
}
