import { useQuery } from '@tanstack/react-query';
import type { BookDto } from '@yugator/contracts';
import { fleetQueries } from '../machine/fleetQueries.js';
import { CLASS_WORDS } from '../machine/classWords.js';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import { PageHead } from '../page/PageHead.js';
import { ruleWords } from '../schedule/triggerWords.js';
import { Crew } from './Crew.js';

function Book({ book }: { book: BookDto }) {
  return (
    <details style={{ padding: '8px 0' }}>
      <summary>
        <b>{book.name}</b> <span className="soft">{CLASS_WORDS[book.machineClass]}</span>
      </summary>
      <ul>
        {book.items.map((item) => (
          <li key={item.id}>
            {item.name} <span className="soft">{ruleWords(item.triggers, (name) => name)}</span>
          </li>
        ))}
      </ul>
    </details>
  );
}

/** The crew, and the service books that machines follow. */
export function SetupPage() {
  const books = useQuery(fleetQueries.books());
  return (
    <>
      <PageHead name="Setup" title="Setup" />
      <Crew />
      <section aria-label="Service books" style={{ marginTop: 32 }}>
        <h2>Service books</h2>
        <p className="soft">
          What a machine&rsquo;s maker asks for. A machine&rsquo;s own manual always comes first.
        </p>
        {books.data ? (
          books.data.map((book) => <Book key={book.id} book={book} />)
        ) : books.error ? (
          <Failed error={books.error} again={books.refetch} />
        ) : (
          <Loading rows={3} />
        )}
      </section>
    </>
  );
}
