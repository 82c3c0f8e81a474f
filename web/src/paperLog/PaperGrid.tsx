import Button from '@mui/material/Button';
import { MOST_PAPER_ROWS } from '@yugator/contracts';
import type { KeepPaperLogDto, KnownLifeDto, MachineDetailDto, PaperLogKeptDto } from '@yugator/contracts';
import { readDay } from '@yugator/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { sentenceOf } from '../api/problem.js';
import { useWrite } from '../api/useWrite.js';
import { Caution } from '../page/Caution.js';
import { useNotice } from '../page/Notice.js';
import page from '../page/page.module.css';
import table from '../page/table.module.css';
import { useSession } from '../session/useSession.js';
import { countWords, parseFigure } from '../words/figures.js';
import { isBlank, judgePaper } from './judgePaper.js';
import type { PaperRowFaults } from './judgePaper.js';
import styles from './paperLog.module.css';
import { PaperRow } from './PaperRow.js';
import { PastePaper } from './PastePaper.js';
import type { PaperTyped } from './readPaper.js';

const BLANK = { day: '', hours: '', itemIds: [], note: '' };

/** Rows as they stand, always with a blank one at the end to go on in. */
function useRows() {
  const [rows, setRows] = useState<readonly PaperTyped[]>([{ key: 0, ...BLANK }]);
  const withBlank = (typed: readonly PaperTyped[]): readonly PaperTyped[] => {
    const last = typed.at(-1);
    if (last && isBlank(last)) return typed;
    return [...typed, { key: Math.max(-1, ...typed.map(({ key }) => key)) + 1, ...BLANK }];
  };
  return {
    rows,
    change: (next: PaperTyped) =>
      setRows((before) => withBlank(before.map((row) => (row.key === next.key ? next : row)))),
    remove: (key: number) => setRows((before) => withBlank(before.filter((row) => row.key !== key))),
    add: (added: readonly Omit<PaperTyped, 'key'>[]) =>
      setRows((before) => {
        const next = Math.max(-1, ...before.map(({ key }) => key)) + 1;
        const kept = before.filter((row) => !isBlank(row));
        return withBlank([...kept, ...added.map((row, at) => ({ ...row, key: next + at }))]);
      }),
  };
}

function hasFault(faults: PaperRowFaults): boolean {
  return Object.keys(faults).length > 0;
}

interface Props {
  readonly machine: MachineDetailDto;
  readonly known: readonly KnownLifeDto[];
}

/** The grid: a row for each service, a column for each line of the machine. */
export function PaperGrid({ machine, known }: Props) {
  const { today, site } = useSession();
  const say = useNotice();
  const navigate = useNavigate();
  const { rows, change, remove, add } = useRows();
  const [tried, setTried] = useState(false);
  const keep = useWrite<PaperLogKeptDto, KeepPaperLogDto>(
    (body) => ({ method: 'POST', path: `/machines/${machine.id}/paper-log`, body }),
    ['jobs', 'machines'],
    ({ kept }) => {
      say(`${machine.tag}: ${countWords(kept, 'service')} taken over from paper.`);
      void navigate(`/fleet/${machine.id}/record`);
    },
  );
  const faults = judgePaper(rows, known, today, site.dateOrder);
  const filled = rows.filter((row) => !isBlank(row));
  const bad = filled.filter(({ key }) => hasFault(faults.get(key) ?? {})).length;
  const problem =
    filled.length === 0
      ? 'Type at least one service.'
      : filled.length > MOST_PAPER_ROWS
        ? `Keep ${MOST_PAPER_ROWS} rows at a time at most.`
        : bad
          ? `${countWords(bad, 'row')} cannot be kept as ${bad === 1 ? 'it stands' : 'they stand'}.`
          : null;
  const submit = () => {
    setTried(true);
    if (problem || keep.isPending) return;
    const body = filled.map(({ day, hours, itemIds, note }) => ({
      doneOn: readDay(day, site.dateOrder) ?? '',
      life: parseFigure(hours),
      itemIds: [...itemIds],
      note: note.trim(),
    }));
    keep.mutate({ rows: body });
  };
  const wrong = tried ? (problem ?? (keep.error ? sentenceOf(keep.error) : null)) : null;
  return (
    <>
      <PastePaper lines={machine.lines} onRows={add} />
      <div className={table.scroll} tabIndex={0} role="region" aria-label="Services from paper">
        <table className={`${table.table} ${styles.grid}`}>
          <thead>
            <tr>
              <th>Day</th>
              <th>Life hours</th>
              {machine.lines.map(({ itemId, itemName }) => (
                <th key={itemId} className={styles.upright}>
                  <span>{itemName}</span>
                </th>
              ))}
              <th>Note</th>
              <th>
                <span className="visually-hidden">Take out</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {rows.map((row, at) => (
              <PaperRow
                key={row.key}
                number={at + 1}
                row={row}
                lines={machine.lines}
                faults={faults.get(row.key) ?? {}}
                tried={tried}
                onChange={change}
                onRemove={() => remove(row.key)}
              />
            ))}
          </tbody>
        </table>
      </div>
      {wrong ? (
        <Caution title="Nothing kept">
          <p>{wrong}</p>
        </Caution>
      ) : null}
      <div className={page.foot}>
        <Button variant="contained" color="primary" size="large" loading={keep.isPending} onClick={submit}>
          Take over {countWords(filled.length, 'service')}
        </Button>
      </div>
    </>
  );
}
