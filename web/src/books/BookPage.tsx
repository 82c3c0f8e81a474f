import { useQuery } from '@tanstack/react-query';
import { lazy, Suspense } from 'react';
import { useParams } from 'react-router';
import { fleetQueries } from '../machine/fleetQueries.js';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import { NoSuchPage } from '../page/NoSuchPage.js';
import { useIsOneOf } from '../session/useSession.js';

// The crew lead changes books; everybody else reads them.
const BookEditor = lazy(async () => ({ default: (await import('./BookEditor.js')).BookEditor }));
const BookLines = lazy(async () => ({ default: (await import('./BookLines.js')).BookLines }));

/** One service book: its chart, to be entered by the crew lead and read by everybody. */
export function BookPage() {
  const { bookId = '' } = useParams();
  const isLead = useIsOneOf('crewLead');
  const { data, error, refetch } = useQuery(fleetQueries.books());
  if (!data) return error ? <Failed error={error} again={refetch} /> : <Loading />;
  const book = data.find(({ id }) => id === bookId) ?? null;
  if (!book && (bookId !== 'new' || !isLead)) return <NoSuchPage />;
  return (
    <Suspense fallback={<Loading />}>
      {book && !isLead ? (
        <BookLines book={book} />
      ) : (
        // Made anew for another book, and not while this one is being typed.
        <BookEditor key={bookId} book={book} />
      )}
    </Suspense>
  );
}
