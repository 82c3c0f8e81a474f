import type { BookDto } from '@yugator/contracts';
import { componentWords } from '@yugator/core';
import { PageHead } from '../page/PageHead.js';
import table from '../page/table.module.css';
import { ruleWords } from '../schedule/triggerWords.js';
import { ACTION_WORDS } from './bookWords.js';

/** The lines of a book, to be read. */
export function BookLines({ book }: { book: BookDto }) {
  return (
    <>
      <PageHead name={book.name} title={book.name} under="A machine’s own manual always comes first." />
      <table className={table.table}>
        <thead>
          <tr>
            <th>Line</th>
            <th>What is done</th>
            <th>Rule</th>
            <th className={table.number}>Minutes</th>
          </tr>
        </thead>
        <tbody>
          {book.items.map((item) => (
            <tr key={item.id}>
              <td>
                <b>{item.name}</b>
                <br />
                <span className="soft">{[item.reference, item.note].filter(Boolean).join('. ')}</span>
              </td>
              <td data-label="What is done:">
                {ACTION_WORDS[item.action]}, {item.component ?? componentWords(item.components ?? [])}
              </td>
              <td data-label="Rule:">{ruleWords(item.triggers, (name) => name)}</td>
              <td className={table.number} data-label="Minutes:">
                {item.minutes}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}
