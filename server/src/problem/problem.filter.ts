import { Catch, HttpException, Logger } from '@nestjs/common';
import type { ArgumentsHost, ExceptionFilter } from '@nestjs/common';
import { ThrottlerException } from '@nestjs/throttler';
import type { ProblemDto } from '@yugator/contracts';
import type { FastifyReply } from 'fastify';
import { databaseErrno } from '../database/unitOfWork.js';
import { Problem } from './problem.js';

/** MariaDB: disk full; table full. */
const DISK_FULL = new Set([1021, 1114]);
/** What MariaDB appends where writing a file met the system's "no space left on device". */
const NO_SPACE = 'Errcode: 28';

function isDiskFull(error: unknown): boolean {
  return (
    DISK_FULL.has(databaseErrno(error) ?? 0) || (error instanceof Error && error.message.includes(NO_SPACE))
  );
}

const DISK_FULL_PROBLEM = new Problem(
  507,
  'The disk is full',
  'Nothing was saved, because the disk of the server is full. Free some space there and try again; what you typed is still here.',
);

const UNEXPECTED = new Problem(
  500,
  'Something went wrong here',
  'Nothing was saved. Try again; if it happens again, tell whoever looks after Yugator.',
);

function ofHttp(error: HttpException): Problem {
  if (error instanceof ThrottlerException) {
    return new Problem(
      429,
      'Too many attempts',
      'Too many attempts to sign in. Wait a minute and try again.',
    );
  }
  const status = error.getStatus();
  return new Problem(status, status === 404 ? 'Not found' : 'Not accepted', error.message);
}

/** Errors that the HTTP framework itself raises carry their status. */
function ofFramework(error: unknown): Problem | null {
  if (!(error instanceof Error) || !('statusCode' in error) || typeof error.statusCode !== 'number')
    return null;
  return error.statusCode < 500 ? new Problem(error.statusCode, 'Not accepted', error.message) : null;
}

/** The one place where what went wrong becomes an HTTP answer. */
@Catch()
export class ProblemFilter implements ExceptionFilter {
  private readonly logger = new Logger('Problem');

  catch(error: unknown, host: ArgumentsHost): void {
    const reply = host.switchToHttp().getResponse<FastifyReply>();
    const problem = this.problemOf(error);
    const body: ProblemDto = {
      type: 'about:blank',
      title: problem.title,
      status: problem.status,
      detail: problem.detail,
      ...(problem.faults.length ? { errors: [...problem.faults] } : {}),
      ...(problem.current ? { current: problem.current } : {}),
    };
    if (reply.sent || reply.raw.headersSent) return;
    void reply
      .status(problem.status)
      .header('content-type', 'application/problem+json')
      .send(JSON.stringify(body));
  }

  private problemOf(error: unknown): Problem {
    if (error instanceof Problem) return error;
    if (error instanceof HttpException) return ofHttp(error);
    if (isDiskFull(error)) return DISK_FULL_PROBLEM;
    const known = ofFramework(error);
    if (known) return known;
    this.logger.error(error instanceof Error ? `${error.name}\n${error.stack ?? ''}` : String(error));
    return UNEXPECTED;
  }
}
