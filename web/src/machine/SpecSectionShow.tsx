import table from '../page/table.module.css';
import type { SpecSection, TypedRow } from './specSections.js';

/** One part of the spec card, to be read. */
export function SpecSectionShow({ section, rows }: { section: SpecSection; rows: readonly TypedRow[] }) {
  return (
    <section aria-label={section.title}>
      <h2>{section.title}</h2>
      <table className={table.table}>
        <thead>
          <tr>
            {section.columns.map(({ key, label }) => (
              <th key={key}>{label}</th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row, index) => (
            <tr key={index}>
              {section.columns.map(({ key, label, kind }, column) => (
                <td
                  key={key}
                  className={kind.is === 'words' ? '' : 'fig'}
                  data-label={column ? `${label}:` : undefined}
                >
                  {row[key] === '' ? '–' : row[key]}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
