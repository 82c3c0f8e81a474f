import IconButton from '@mui/material/IconButton';
import { ACTIONS } from '@yugator/core';
import type { ChartMark } from '@yugator/core';
import type { KeyboardEvent } from 'react';
import { ComponentsPick } from '../component/ComponentPick.js';
import { ruleWords } from '../schedule/triggerWords.js';
import styles from './books.module.css';
import { nextMark, triggersOf, withoutColumn } from './bookDraft.js';
import type { BookDraft, DraftLine } from './bookDraft.js';
import { ACTION_WORDS, columnWords, MARK_WORDS } from './bookWords.js';
import { LineRules } from './LineRules.js';
import { LineWork } from './LineWork.js';

const MARK_SIGNS: Record<ChartMark, string> = { every: '●', first: '1st' };

interface Props {
  readonly draft: BookDraft;
  readonly onChange: (draft: BookDraft) => void;
}

/** Arrow keys walk from cell to cell; e, f and Delete set every, first and none. */
function walk(
  event: KeyboardEvent<HTMLTableElement>,
  set: (row: number, column: number, mark: ChartMark | null) => void,
): void {
  const cell = event.target;
  if (!(cell instanceof HTMLButtonElement) || cell.dataset['column'] === undefined) return;
  const [row, column] = [Number(cell.dataset['row']), Number(cell.dataset['column'])];
  const steps: Record<string, [number, number]> = {
    ArrowUp: [-1, 0],
    ArrowDown: [1, 0],
    ArrowLeft: [0, -1],
    ArrowRight: [0, 1],
  };
  const step = steps[event.key];
  if (step) {
    event.preventDefault();
    const next = event.currentTarget.querySelector<HTMLElement>(
      `[data-row="${row + step[0]}"][data-column="${column + step[1]}"]`,
    );
    next?.focus();
  }
  const marks: Record<string, ChartMark | null> = {
    e: 'every',
    x: 'every',
    f: 'first',
    '1': 'first',
    Delete: null,
    Backspace: null,
  };
  const mark = marks[event.key];
  if (mark !== undefined && !event.ctrlKey && !event.metaKey) {
    event.preventDefault();
    set(row, column, mark);
  }
}

function Head({ draft, onChange }: Props) {
  return (
    <thead>
      <tr>
        <th scope="col">Line</th>
        <th scope="col">What is done</th>
        <th scope="col" className={styles.components}>
          Done to
        </th>
        <th scope="col">Min</th>
        {draft.columns.map((column, place) => (
          <th key={columnWords(column)} scope="col" className={styles.mark}>
            {columnWords(column)}
            <IconButton
              size="small"
              aria-label={`Take out the column ${columnWords(column)}`}
              onClick={() => onChange(withoutColumn(draft, place))}
            >
              ×
            </IconButton>
          </th>
        ))}
        <th scope="col">The rule it has become</th>
        <th>
          <span className="visually-hidden">Take out</span>
        </th>
      </tr>
    </thead>
  );
}

interface RowProps extends Props {
  readonly line: DraftLine;
  readonly row: number;
  readonly fault: string | undefined;
  readonly set: (change: Partial<DraftLine>) => void;
}

function NameCell({ line, row, fault, set }: Omit<RowProps, 'draft' | 'onChange'>) {
  return (
    <td>
      <input
        aria-label={`Name of line ${row + 1}`}
        aria-invalid={fault !== undefined}
        aria-describedby={fault ? `fault-${line.key}` : undefined}
        value={line.name}
        placeholder="Engine oil and filter"
        onChange={(event) => set({ name: event.target.value })}
      />
      {fault ? (
        <span id={`fault-${line.key}`} className={styles.fault}>
          {fault}
        </span>
      ) : null}
    </td>
  );
}

function Row({ draft, onChange, line, row, fault, set }: RowProps) {
  const word = line.name || `line ${row + 1}`;
  return (
    <tr>
      <NameCell line={line} row={row} fault={fault} set={set} />
      <td>
        <select
          aria-label={`What is done: ${word}`}
          value={line.action}
          onChange={(event) =>
            set({ action: ACTIONS.find((action) => action === event.target.value) ?? 'replace' })
          }
        >
          {ACTIONS.map((action) => (
            <option key={action} value={action}>
              {ACTION_WORDS[action]}
            </option>
          ))}
        </select>
      </td>
      <td>
        <ComponentsPick
          isCell
          label={`Done to: ${word}`}
          machineClass={draft.machineClass}
          value={line.components}
          onChange={(components) => set({ components })}
        />
        <LineWork line={line} machineClass={draft.machineClass} />
      </td>
      <td>
        <input
          aria-label={`Minutes: ${word}`}
          className={styles.minutes}
          inputMode="numeric"
          value={line.minutes}
          onChange={(event) => set({ minutes: event.target.value })}
        />
      </td>
      {draft.columns.map((column, place) => {
        const mark = line.marks[place] ?? null;
        return (
          <td key={columnWords(column)} className={styles.mark}>
            <button
              type="button"
              data-row={row}
              data-column={place}
              aria-label={`${word}, ${columnWords(column)}: ${mark ? MARK_WORDS[mark] : 'nothing'}`}
              onClick={() => set({ marks: line.marks.with(place, nextMark(mark)) })}
            >
              {mark ? MARK_SIGNS[mark] : ''}
            </button>
          </td>
        );
      })}
      <td className={styles.rule}>
        {ruleWords(triggersOf(line, draft), (name) => name)}
        <LineRules line={line} draft={draft} onChange={set} />
      </td>
      <td>
        <IconButton
          aria-label={`Take out ${word}`}
          onClick={() => onChange({ ...draft, lines: draft.lines.filter(({ key }) => key !== line.key) })}
        >
          ×
        </IconButton>
      </td>
    </tr>
  );
}

interface GridProps extends Props {
  readonly onLine: (row: number, line: DraftLine) => void;
  /** what is wrong, by the place of the line */
  readonly faults: ReadonlyMap<number, string>;
}

/** The chart as it is printed: lines down, hours and dates across, and beside each line the rule it has become. */
export function ChartGrid({ draft, onChange, onLine, faults }: GridProps) {
  const setLine = (row: number, change: Partial<DraftLine>) => {
    const line = draft.lines[row];
    if (line) onLine(row, { ...line, ...change });
  };
  const setMark = (row: number, column: number, mark: ChartMark | null) => {
    const marks = draft.lines[row]?.marks.with(column, mark);
    if (marks) setLine(row, { marks });
  };
  return (
    <div className={styles.scroll} tabIndex={0} role="region" aria-label="Chart">
      <table className={styles.chart} onKeyDown={(event) => walk(event, setMark)}>
        <Head draft={draft} onChange={onChange} />
        <tbody>
          {draft.lines.map((line, row) => (
            <Row
              key={line.key}
              draft={draft}
              onChange={onChange}
              line={line}
              row={row}
              fault={faults.get(row)}
              set={(change) => setLine(row, change)}
            />
          ))}
        </tbody>
      </table>
    </div>
  );
}
