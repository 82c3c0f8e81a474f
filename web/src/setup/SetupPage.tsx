import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import type { BookDto } from '@yugator/contracts';
import { Link } from 'react-router';
import { fleetQueries } from '../machine/fleetQueries.js';
import { CLASS_WORDS } from '../machine/classWords.js';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import { PageHead } from '../page/PageHead.js';
import table from '../page/table.module.css';
import { useIsOneOf } from '../session/useSession.js';
import { countWords } from '../words/figures.js';
import { FleetFiles } from '../fleetFile/FleetFiles.js';
import { SiteRules } from '../site/SiteRules.js';
import { Unsettled } from '../component/Unsettled.js';
import { Crew } from '../people/Crew.js';
import { CrewSessions } from './CrewSessions.js';
import { ShedDevices } from './ShedDevices.js';
import { MachineCodes } from './MachineCodes.js';

function Book({ book }: { book: BookDto }) {
  return (
    <tr>
      <td>
        <Link to={`/books/${book.id}`}>
          <b>{book.name}</b>
        </Link>
      </td>
      <td data-label="For:">{CLASS_WORDS[book.machineClass]}</td>
      <td data-label="Lines:">{countWords(book.items.length, 'line')}</td>
      <td data-label="Followed by:">{book.machines.join(', ') || 'no machine yet'}</td>
    </tr>
  );
}

/** The crew, and the service books that machines follow. */
export function SetupPage() {
  const books = useQuery(fleetQueries.books());
  const isLead = useIsOneOf('crewLead');
  return (
    <>
      <PageHead name="Setup" title="Setup" />
      <Crew />
      {isLead ? <CrewSessions /> : null}
      {isLead ? <ShedDevices /> : null}
      <section aria-label="Service books" style={{ marginTop: 32 }}>
        <h2>Service books</h2>
        <p className="soft" style={{ marginBottom: 8 }}>
          What a machine&rsquo;s maker asks for. A machine&rsquo;s own manual always comes first.
        </p>
        {books.data ? (
          <table className={table.table}>
            <thead>
              <tr>
                <th>Book</th>
                <th>For</th>
                <th>Lines</th>
                <th>Followed by</th>
              </tr>
            </thead>
            <tbody>
              {books.data.map((book) => (
                <Book key={book.id} book={book} />
              ))}
            </tbody>
          </table>
        ) : books.error ? (
          <Failed error={books.error} again={books.refetch} />
        ) : (
          <Loading rows={3} />
        )}
        {isLead ? (
          <Button component={Link} to="/books/new" style={{ marginTop: 12 }}>
            Enter a book
          </Button>
        ) : null}
      </section>
      {isLead ? <Unsettled /> : null}
      <MachineCodes />
      <section aria-label="House rules" style={{ marginTop: 32 }}>
        <h2>House rules</h2>
        <p className="soft" style={{ marginBottom: 8 }}>
          Where good mechanics differ: how tight, how full, how clean. Every job sheet follows.
        </p>
        <Button component={Link} to="/setup/house-rules">
          Look at the house rules
        </Button>
      </section>
      {isLead ? (
        <section aria-label="Audit list" style={{ marginTop: 32 }}>
          <h2>Audit list</h2>
          <p className="soft" style={{ marginBottom: 8 }}>
            Who signed in, changed roles or passwords, or took something back. Kept for two years.
          </p>
          <Button component={Link} to="/setup/audit">
            Look at the audit list
          </Button>
        </section>
      ) : null}
      <SiteRules mayChange={isLead} />
      <FleetFiles isLead={isLead} />
    </>
  );
}
