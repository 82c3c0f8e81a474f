import { cardName, isComponent } from '@yugator/core';
import table from '../page/table.module.css';
import { useSession } from '../session/useSession.js';
import { columnHead } from './specSections.js';
import type { SpecColumn, SpecSection } from './specSections.js';
import type { TypedRow } from './typedCard.js';

/** Cells that hold words, not figures. */
const WORDY: readonly SpecColumn['kind']['is'][] = ['words', 'component', 'choice'];

/** What a cell shows: a line goes by its own name, else by its component's. */
function shownCell(row: TypedRow, { key, kind }: SpecColumn, { columns }: SpecSection): string {
  const text = row[key] ?? '';
  if (kind.is === 'choice') return kind.words[text] ?? '–';
  if (kind.is !== 'component') return text || '–';
  const own = columns.find((column) => column.kind.is === 'ownName');
  return cardName((own && row[own.key]) ?? '', isComponent(text) ? text : null) || '–';
}

/** One part of the spec card, to be read. */
export function SpecSectionShow({ section, rows }: { section: SpecSection; rows: readonly TypedRow[] }) {
  const { site } = useSession();
  const columns = section.columns.filter(({ kind }) => kind.is !== 'ownName');
  return (
    <section aria-label={section.title}>
      <h2>{section.title}</h2>
      <table className={table.table}>
        <thead>
          <tr>
            {columns.map((column) => (
              <th key={column.key}>{columnHead(column, site.unitSystem)}</th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row, index) => (
            <tr key={index}>
              {columns.map((column, place) => (
                <td
                  key={column.key}
                  className={WORDY.includes(column.kind.is) ? '' : 'fig'}
                  data-label={place ? `${columnHead(column, site.unitSystem)}:` : undefined}
                >
                  {shownCell(row, column, section)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
