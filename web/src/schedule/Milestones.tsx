import { useQuery } from '@tanstack/react-query';
import type { MachineDetailDto, MilestoneDto, MilestoneLineDto } from '@yugator/contracts';
import { nextMilestone } from '@yugator/core';
import { useState } from 'react';
import { Empty } from '../page/Empty.js';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import table from '../page/table.module.css';
import { triggerWords } from './triggerWords.js';
import { intervalWords } from '../words/figures.js';
import { fleetQueries } from '../machine/fleetQueries.js';
import styles from './milestones.module.css';

const REASON_WORDS: Record<MilestoneLineDto['reason'], string> = {
  onHours: 'by its hours',
  often: 'in between, as always',
  byCalendar: 'by date: the hours alone would miss it',
};

const MARKS: Record<MilestoneLineDto['reason'], string> = { onHours: '●', often: '·', byCalendar: '◷' };

function Lines({ milestone }: { milestone: MilestoneDto }) {
  const minutes = milestone.lines
    .filter(({ reason }) => reason !== 'often')
    .reduce((sum, line) => sum + line.minutes, 0);
  return (
    <section aria-live="polite">
      <h2 style={{ marginBottom: 8 }}>
        At {intervalWords(milestone.hours)} h: {milestone.lines.length} items, about {minutes} minutes by the
        books
      </h2>
      <table className={table.table}>
        <thead>
          <tr>
            <th>Item</th>
            <th>Why it belongs here</th>
            <th>Book</th>
            <th className={table.number}>Minutes</th>
          </tr>
        </thead>
        <tbody>
          {milestone.lines.map((line) => (
            <tr key={line.itemId}>
              <td>
                <b>{line.itemName}</b>
              </td>
              <td>
                <span aria-hidden>{MARKS[line.reason]} </span>
                {triggerWords(line.trigger)}, <span className="soft">{REASON_WORDS[line.reason]}</span>
              </td>
              <td data-label="Book:">{line.bookName ?? 'its own'}</td>
              <td className={table.number} data-label="Minutes:">
                {line.minutes}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

function Chosen({ milestones, life }: { milestones: readonly MilestoneDto[]; life: number }) {
  const [hours, setHours] = useState(() =>
    nextMilestone(
      milestones.map((each) => each.hours),
      life,
    ),
  );
  const milestone = milestones.find((each) => each.hours === hours);
  return (
    <>
      <p className="soft" style={{ marginBottom: 10 }}>
        What this machine gets at a column of its books, from all of them together. The chart begins again
        after {intervalWords(milestones.at(-1)?.hours ?? 0)} h.
      </p>
      <div className={styles.columns} role="group" aria-label="Hours">
        {milestones.map((each) => (
          <button
            key={each.hours}
            type="button"
            aria-pressed={each.hours === hours}
            onClick={() => setHours(each.hours)}
          >
            {intervalWords(each.hours)} h
          </button>
        ))}
      </div>
      {milestone ? <Lines milestone={milestone} /> : null}
    </>
  );
}

/** What the machine gets at 100 h, and at every other column: the union across its books. */
export function Milestones({ machine }: { machine: MachineDetailDto }) {
  const { data, error, refetch } = useQuery(fleetQueries.milestones(machine.id));
  if (!data) return error ? <Failed error={error} again={refetch} /> : <Loading />;
  if (data.length === 0) return <Empty title="None of its books counts hours." />;
  return <Chosen milestones={data} life={machine.life} />;
}
