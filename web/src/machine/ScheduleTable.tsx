import type { DueLineDto, MachineDetailDto } from '@yugator/contracts';
import table from '../page/table.module.css';
import { baselineWords, limitWords, rangeWords, standingWords } from '../schedule/dueWords.js';
import { STATE_WORDS } from '../schedule/stateWords.js';
import { ruleWords } from '../schedule/triggerWords.js';
import { useIsOneOf, useSession } from '../session/useSession.js';
import { DeclareLast } from './DeclareLast.js';
import { dayWords } from '../words/dates.js';
import { hoursWords } from '../words/figures.js';

function DueAt({ line }: { line: DueLineDto }) {
  const { today } = useSession();
  const limit = line.limits[0];
  if (!limit) return <>–</>;
  return <>{limit.at === null ? dayWords(limit.on ?? today, today) : `${hoursWords(limit.at)} h`}</>;
}

/** The facts of the tape as a table: for those who read rather than look. */
export function ScheduleTable({ machine }: { machine: MachineDetailDto }) {
  const { today } = useSession();
  const isLead = useIsOneOf('crewLead');
  return (
    <details style={{ marginTop: 16 }}>
      <summary style={{ minHeight: 40, display: 'inline-flex', alignItems: 'center' }}>
        {isLead ? 'The same as a table, and when each was last done' : 'The same as a table'}
      </summary>
      <div className={table.scroll}>
        <table className={table.table}>
          <thead>
            <tr>
              <th>Item</th>
              <th>Rule</th>
              <th>State</th>
              <th>Counts from</th>
              <th>Due at</th>
              <th>Stands</th>
              <th>Expected</th>
              {isLead ? <th>Last done</th> : null}
            </tr>
          </thead>
          <tbody>
            {machine.lines.map((line) => (
              <tr key={line.itemId}>
                <td>{line.itemName}</td>
                <td>{ruleWords(line.limits.map(({ rule }) => rule))}</td>
                <td>{STATE_WORDS[line.state]}</td>
                <td>{baselineWords(line.baseline, today)}</td>
                <td>
                  <DueAt line={line} />
                </td>
                <td>
                  {line.limits.map((limit) => limitWords(limit, today)).join('; ') ||
                    standingWords(line, today)}
                </td>
                <td>
                  {line.expectedOn ? dayWords(line.expectedOn, today) : '–'}
                  {rangeWords(line, today) ? `, ${rangeWords(line, today)}` : ''}
                </td>
                {isLead ? (
                  <td>
                    {line.baseline.kind === 'noRecord' ? null : <DeclareLast line={line} machine={machine} />}
                  </td>
                ) : null}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </details>
  );
}
