import type { RecordDto, RecordKind } from '@yugator/contracts';
import { articleWords, findingWords } from '@yugator/core';
import { Link } from 'react-router';
import { OUTCOME_WORDS } from '../job/outcomeWords.js';
import { Plate } from '../page/Plate.js';
import table from '../page/table.module.css';
import { VoidDialog } from '../page/VoidDialog.js';
import { useIsOneOf, useSession } from '../session/useSession.js';
import { dayWords } from '../words/dates.js';
import { fluidWords } from '../topUp/fluidWords.js';
import { countWords, hoursWords, moneyWords } from '../words/figures.js';
import { useStockWords } from '../session/useStockWords.js';

const KIND_WORDS: Record<RecordKind, readonly string[]> = {
  visit: [],
  round: ['Without a job'],
  paper: ['From paper'],
};

function Row({ record, withMachine }: { record: RecordDto; withMachine: boolean }) {
  const { site, today } = useSession();
  const isLead = useIsOneOf('crewLead');
  const stock = useStockWords();
  const amounts = (drawn: RecordDto['draws']) =>
    drawn.map((draw) => articleWords(draw, site.unitSystem)).join(', ');
  const { voided, machine } = record;
  const day = dayWords(record.doneOn, today);
  return (
    <tr className={voided ? table.void : undefined}>
      <td className={table.short}>
        <Link to={`/jobs/${record.jobId}`}>{day}</Link>
      </td>
      {withMachine ? (
        <td>
          <Plate tag={machine.tag} to={machine.id} /> {machine.name}
        </td>
      ) : null}
      <td className={table.number} data-label="Life hours:">
        {hoursWords(record.life)}
      </td>
      <td>
        {[...KIND_WORDS[record.kind], ...record.items].join('; ')}
        {record.mended.map((words) => (
          <div key={words}>Mended: {words}</div>
        ))}
        {record.topUps.map(({ component, litres, grade }) => (
          <div key={component}>
            Topped up: {stock(litres, 'litre')} {fluidWords(component)}, {grade}
          </div>
        ))}
        {record.putRight.map(({ name, words }) => (
          <div key={name}>
            {name}: <span className="soft">put right, {words}</span>
          </div>
        ))}
        {record.wellLooks.length ? (
          <div className="soft">{countWords(record.wellLooks.length, 'look')} found well</div>
        ) : null}
        {record.others.map(({ name, outcome, note }) => (
          <div key={name}>
            {name}: {OUTCOME_WORDS[outcome]}
            {note ? <span className="soft">, {note}</span> : null}
          </div>
        ))}
        {record.findings.length ? (
          <div className="soft">
            {record.findings
              .map((finding) => `${finding.isGood ? '✓' : '✗'} ${findingWords(finding, site.unitSystem)}`)
              .join('; ')}
          </div>
        ) : null}
        {record.note ? <div className="soft">{record.note}</div> : null}
        {record.fluidReason ? (
          <div>A fluid that does not suit the machine was used: {record.fluidReason}</div>
        ) : null}
      </td>
      <td>
        {amounts(record.draws) || '–'}
        {record.left.length ? <div className="soft">left over: {amounts(record.left)}</div> : null}
      </td>
      <td className={table.number} data-label="Cost:">
        {moneyWords(record.costMinor, site.currency)}
        {record.labourCostMinor === null ? null : (
          <div className="soft">of it labour {moneyWords(record.labourCostMinor, site.currency)}</div>
        )}
      </td>
      <td className={table.short}>
        {record.doneBy}, {record.minutes} min
        {record.signedBy ? <div className="soft">signed by {record.signedBy}</div> : null}
      </td>
      <td className={table.kept}>
        {voided ? `Void: ${voided.reason} (${voided.by})` : null}
        {!voided && isLead ? (
          <VoidDialog
            what={`the record of ${day} on ${machine.tag}`}
            consequence="Its items fall due as before, what it used goes back on the shelf, and its meter reading no longer counts."
            path={`/records/${record.jobId}/void`}
            subjects={['jobs', 'readings', 'shelf']}
          />
        ) : null}
      </td>
    </tr>
  );
}

/** Records as a table, latest first. */
export function RecordTable({
  records,
  withMachine,
}: {
  records: readonly RecordDto[];
  withMachine: boolean;
}) {
  return (
    <table className={table.table}>
      <thead>
        <tr>
          <th>Done</th>
          {withMachine ? <th>Machine</th> : null}
          <th className={table.number}>Life hours</th>
          <th>What</th>
          <th>Used</th>
          <th className={table.number}>Cost</th>
          <th>By</th>
          <th>
            <span className="visually-hidden">Void</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {records.map((record) => (
          <Row key={record.jobId} record={record} withMachine={withMachine} />
        ))}
      </tbody>
    </table>
  );
}
