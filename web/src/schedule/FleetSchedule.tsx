import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { useVirtualizer } from '@tanstack/react-virtual';
import type { FleetLineDto } from '@yugator/contracts';
import { keysOf } from '@yugator/core';
import { useDeferredValue, useRef, useState } from 'react';
import { Choose, choicesOf } from '../form/Choose.js';
import type { Choices } from '../form/Choose.js';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import { Plate } from '../page/Plate.js';
import { limitWords, rangeWords } from './dueWords.js';
import { StateMark } from './StateShape.js';
import { STATE_WORDS } from './stateWords.js';
import { useSession } from '../session/useSession.js';
import { countWords } from '../words/figures.js';
import styles from './fleetSchedule.module.css';
import { ALL, COLUMNS, useChosenLines, WORST_FIRST } from './fleetLines.js';
import type { ColumnId, LineFilter, LineOrder } from './fleetLines.js';
import { fleetQueries } from '../machine/fleetQueries.js';

const ROW_HEIGHT = 56;

function Row({ line, today }: { line: FleetLineDto; today: string }) {
  return (
    <>
      <span role="cell">
        <Plate tag={line.tag} to={line.machineId} />
      </span>
      <span role="cell" className={styles.item}>
        <b>{line.itemName}</b>
        <span className="soft">
          {line.machineName}
          {line.bookName ? ` · ${line.bookName}` : ''}
        </span>
      </span>
      <span role="cell" className={styles.state}>
        <StateMark state={line.state} />
        {STATE_WORDS[line.state]}
      </span>
      <span role="cell" className={styles.item}>
        <b className="fig">
          {line.limit
            ? limitWords(line.limit, today)
            : line.state === 'noRecord'
              ? 'no record to count from'
              : '–'}
        </b>
        <span className="soft">{rangeWords(line, today)}</span>
      </span>
      <span role="cell" className={`soft ${styles.shed}`}>
        {line.shed}
      </span>
    </>
  );
}

interface LinesProps {
  readonly lines: readonly FleetLineDto[];
  readonly filter: LineFilter;
  readonly order: LineOrder;
  readonly onOrder: (order: LineOrder) => void;
}

/** The heads of the columns: each orders the lines by itself, pressed again backwards. */
function Heads({ order, onOrder }: Pick<LinesProps, 'order' | 'onOrder'>) {
  return keysOf(COLUMNS).map((id) => {
    const isOrder = order.id === id;
    return (
      <span
        key={id}
        role="columnheader"
        aria-sort={isOrder ? (order.desc ? 'descending' : 'ascending') : 'none'}
      >
        <button
          type="button"
          className={styles.order}
          onClick={() => onOrder({ id, desc: isOrder && !order.desc })}
        >
          {COLUMNS[id]}
          <span aria-hidden>{isOrder ? (order.desc ? ' ↓' : ' ↑') : ''}</span>
        </button>
      </span>
    );
  });
}

/** Thousands of lines stay smooth: only those in sight are in the page. */
function Lines({ lines: all, filter, order, onOrder }: LinesProps) {
  const lines = useChosenLines(all, filter, order);
  const total = all.length;
  const { today } = useSession();
  const box = useRef<HTMLDivElement>(null);
  const rows = useVirtualizer({
    count: lines.length,
    getScrollElement: () => box.current,
    estimateSize: () => ROW_HEIGHT,
    overscan: 12,
  });
  return (
    <>
      <p role="status" className="soft">
        {lines.length === total
          ? countWords(total, 'line')
          : `${countWords(lines.length, 'line')} of ${total}`}
      </p>
      <div
        ref={box}
        className={styles.box}
        role="table"
        aria-label="Schedule of the fleet"
        aria-rowcount={lines.length + 1}
        tabIndex={0}
      >
        <div role="row" aria-rowindex={1} className={styles.headRow}>
          <Heads order={order} onOrder={onOrder} />
        </div>
        <div role="rowgroup" style={{ height: rows.getTotalSize(), position: 'relative' }}>
          {rows.getVirtualItems().map(({ index, start }) => {
            const line = lines[index];
            return line ? (
              <div
                key={`${line.machineId} ${line.itemId}`}
                role="row"
                aria-rowindex={index + 2}
                className={styles.row}
                style={{ transform: `translateY(${start}px)` }}
              >
                <Row line={line} today={today} />
              </div>
            ) : null;
          })}
        </div>
      </div>
    </>
  );
}

const STATES: Choices<LineFilter['state']> = [[ALL, 'All'], ...choicesOf(STATE_WORDS)];
const ORDERS: Choices<ColumnId> = [
  ['state', 'Worst first'],
  ['due', 'By expected date'],
  ['tag', 'By machine'],
  ['item', 'By item'],
  ['shed', 'By shed'],
];
const NARROW = { minWidth: 170 };

/** Every item of every machine, to be searched, filtered and sorted. */
export function FleetSchedule() {
  const { data, error, refetch } = useQuery(fleetQueries.schedule());
  const [filter, setFilter] = useState<LineFilter>({ words: '', state: ALL, shed: ALL });
  const [order, setOrder] = useState<LineOrder>(WORST_FIRST);
  const slow = useDeferredValue(filter);
  if (!data) return error ? <Failed error={error} again={refetch} /> : <Loading />;
  const sheds = [...new Set(data.map(({ shed }) => shed))].sort();
  return (
    <>
      <div className={styles.tools} role="search">
        <TextField
          label="Search"
          fullWidth={false}
          placeholder="oil, T-02, loader"
          value={filter.words}
          onChange={(event) => setFilter({ ...filter, words: event.target.value })}
          slotProps={{ inputLabel: { shrink: true } }}
        />
        <Choose
          fullWidth={false}
          sx={NARROW}
          label="State"
          value={filter.state}
          choices={STATES}
          onChange={(state) => setFilter({ ...filter, state })}
        />
        <Choose
          fullWidth={false}
          sx={NARROW}
          label="Shed"
          value={filter.shed}
          choices={[[ALL, 'All'], ...sheds.map((shed) => [shed, shed] as const)]}
          onChange={(shed) => setFilter({ ...filter, shed })}
        />
        <span className={styles.orderPick}>
          <Choose
            fullWidth={false}
            sx={NARROW}
            label="Order"
            value={order.id}
            choices={ORDERS}
            onChange={(id) => setOrder({ id, desc: false })}
          />
        </span>
      </div>
      <Lines lines={data} filter={slow} order={order} onOrder={setOrder} />
    </>
  );
}
