import { paperFaultWords } from '@yugator/contracts';
import type { KnownLifeDto } from '@yugator/contracts';
import { civilDate, paperFaults, readDay, typedDay } from '@yugator/core';
import type { DateOrder } from '@yugator/core';
import { parseFigure } from '../words/figures.js';
import type { PaperTyped } from './readPaper.js';

/** What is still wanting of a row, or wrong with it, by its part. */
export type PaperRowFaults = Partial<Record<'doneOn' | 'life' | 'itemIds', string>>;

/** A day as it is typed at the site. */
export function exampleDay(order: DateOrder): string {
  return typedDay(civilDate('2026-05-12'), order);
}

export function isBlank({ day, hours, itemIds, note }: PaperTyped): boolean {
  return day.trim() === '' && hours.trim() === '' && itemIds.length === 0 && note.trim() === '';
}

function wanting({ day, hours, itemIds }: PaperTyped, order: DateOrder): PaperRowFaults {
  return {
    ...(readDay(day, order) ? {} : { doneOn: `Give the day, such as ${exampleDay(order)}.` }),
    ...(parseFigure(hours) >= 0 ? {} : { life: 'Give the hours.' }),
    ...(itemIds.length ? {} : { itemIds: 'Tick at least one line.' }),
  };
}

/**
 * What is wrong with each row that is not blank: what is wanting, and what cannot be true by the rule that the server goes by. `known` begins
 * with the day the machine went into service.
 */
export function judgePaper(
  rows: readonly PaperTyped[],
  known: readonly KnownLifeDto[],
  today: string,
  order: DateOrder,
): Map<number, PaperRowFaults> {
  const faults = new Map(rows.filter((row) => !isBlank(row)).map((row) => [row.key, wanting(row, order)]));
  const [entry, ...others] = known.map(({ on, life }) => ({ on: civilDate(on), life }));
  if (!entry) return faults;
  const whole = rows.flatMap(({ key, day, hours }) => {
    const on = readDay(day, order);
    const life = parseFigure(hours);
    return on && life >= 0 ? [{ key, on, life }] : [];
  });
  for (const { place, fault } of paperFaults(whole, others, entry, civilDate(today))) {
    const key = whole[place]?.key ?? 0;
    const part = fault.code === 'future' || fault.code === 'beforeService' ? 'doneOn' : 'life';
    faults.set(key, { ...faults.get(key), [part]: paperFaultWords(fault) });
  }
  return faults;
}
