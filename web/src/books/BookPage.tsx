import { useQuery } from '@tanstack/react-query';
import { useParams } from 'react-router';
import { fleetQueries } from '../machine/fleetQueries.js';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import { NoSuchPage } from '../page/NoSuchPage.js';
import { useIsOneOf } from '../session/useSession.js';
import { BookEditor } from './BookEditor.js';
import { BookLines } from './BookLines.js';

/** One service book: its chart, to be entered by the crew lead and read by everybody. */
export function BookPage() {
  const { bookId = '' } = useParams();
  const isLead = useIsOneOf('crewLead');
  const { data, error, refetch } = useQuery(fleetQueries.books());
  if (!data) return error ? <Failed error={error} again={refetch} /> : <Loading />;
  const book = data.find(({ id }) => id === bookId) ?? null;
  if (!book && (bookId !== 'new' || !isLead)) return <NoSuchPage />;
  if (book && !isLead) return <BookLines book={book} />;
  // Made anew for another book, and not while this one is being typed.
  return <BookEditor key={bookId} book={book} />;
}
