import { isNativeError } from 'node:util/types';
import { ConnectionError, ForeignKeyConstraintError, TimeoutError, UniqueConstraintError } from 'sequelize';
import { ConnectionAcquireTimeoutError } from 'sequelize';
import { databaseErrno } from '../database/unitOfWork.js';
import { busy, fault, fieldProblem, Problem } from './problem.js';

/** MariaDB: disk full; table full. */
const DISK_FULL = new Set([1021, 1114]);
/** What MariaDB appends where writing a file met the system's "no space left on device". */
const NO_SPACE = 'Errcode: 28';

/**
 * The connection is gone, or was never made. MariaDB: too many connections, server shutdown, connection killed, new connection
 * refused; the driver's own: connection and socket lost, closed, timed out, pool without a connection.
 */
const AWAY = new Set([
  ...[1040, 1053, 1927, 1129, 1130, 2002, 2003, 2006, 2013],
  ...[45_001, 45_004, 45_009, 45_012, 45_013, 45_019, 45_026, 45_028, 45_039, 45_042],
]);
const AWAY_CODES = new Set(['ECONNREFUSED', 'ECONNRESET', 'ENOENT', 'EPIPE', 'ETIMEDOUT']);
/** Deadlock and lock wait that six tries did not get past. */
const CONTENDED = new Set([1205, 1213]);

export const DISK_FULL_PROBLEM = new Problem(
  507,
  'The disk is full',
  'Nothing was saved, because the disk of the server is full. Free some space there and try again; what you typed is still here.',
);

export const DATABASE_AWAY = busy(
  'The database does not answer',
  'Nothing was saved. Try again in a moment; what you typed is still here.',
  2,
);

const CONTENDED_PROBLEM = busy(
  'Others are writing',
  'Nothing was saved, because others changed the same things at that moment. Try again.',
  1,
);

/** The sentence for each name that may be there once only, by the column that holds it. */
const ONCE: Readonly<Record<string, readonly [pointer: string, detail: string]>> = {
  'people.name': ['/name', 'There is already somebody of this name. Add an initial to tell them apart.'],
  'machines.tag': ['/tag', 'This is already the tag of another machine. Give another.'],
  'books.name': ['/name', 'There is already a book of this name. Give another.'],
  'seasons.name': ['/seasons', 'Two seasons have the same name. Give each its own.'],
  'articles.name': ['/name', 'There is already an article of this name. Give another.'],
  'items.book_id': ['/items', 'Two lines of the book have the same name. Give each its own.'],
};

/** An error of Sequelize, the one of the driver within it, and so on. */
function causes(error: unknown): (Error & { readonly code?: string })[] {
  if (!isNativeError(error)) return [];
  return [error, ...causes('parent' in error ? error.parent : error.cause)];
}

function isAway(error: unknown): boolean {
  if (error instanceof ConnectionError || error instanceof ConnectionAcquireTimeoutError) return true;
  if (error instanceof TimeoutError && databaseErrno(error) === undefined) return true;
  return AWAY.has(databaseErrno(error) ?? 0) || causes(error).some(({ code }) => AWAY_CODES.has(code ?? ''));
}

function isDiskFull(error: unknown): boolean {
  return (
    DISK_FULL.has(databaseErrno(error) ?? 0) || (error instanceof Error && error.message.includes(NO_SPACE))
  );
}

/** CONSTRAINT %s failed for %s. */
const CHECK_FAILED = 4025;
const CHECK_PROBLEM = new Problem(
  422,
  'Not kept',
  'One of the figures is outside what can be kept. Look through them and send it again.',
);

/** "Duplicate entry 'x' for key 'name'", and the table from the statement: `people.name`. */
function uniqueProblem(error: UniqueConstraintError): Problem {
  const statement = 'sql' in error.parent ? String(error.parent.sql) : '';
  const table = /(?:INTO|UPDATE) `(\w+)`/i.exec(statement)?.[1] ?? '';
  const key = /for key '(?:\w+\.)?(\w+)'/.exec(error.parent.message)?.[1] ?? '';
  const known = ONCE[`${table}.${key}`];
  if (known) return fieldProblem(fault(known[0], 'taken', known[1]));
  return new Problem(
    409,
    'There already',
    'Somebody else entered the same at that moment. Look at how it stands now.',
  );
}

/** The answer to an error of the database that a request can bring about; null for any other error. */
export function databaseProblem(error: unknown): Problem | null {
  if (isDiskFull(error)) return DISK_FULL_PROBLEM;
  if (isAway(error)) return DATABASE_AWAY;
  if (CONTENDED.has(databaseErrno(error) ?? 0)) return CONTENDED_PROBLEM;
  if (error instanceof UniqueConstraintError) return uniqueProblem(error);
  if (CHECK_FAILED === databaseErrno(error)) return CHECK_PROBLEM;
  if (error instanceof ForeignKeyConstraintError) {
    return new Problem(
      409,
      'Changed meanwhile',
      'Something that this refers to is gone. Look at how it stands now and try again.',
    );
  }
  return null;
}
