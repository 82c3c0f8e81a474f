import { Catch, HttpException, Logger } from '@nestjs/common';
import type { ArgumentsHost, ExceptionFilter } from '@nestjs/common';
import type { FastifyReply } from 'fastify';
import { databaseProblem } from './databaseProblem.js';
import { busy, Problem } from './problem.js';
import { problemDocument, problemHeaders } from './problemDocument.js';
import { statusProblem } from './statusProblem.js';

const UNEXPECTED = new Problem(
  500,
  'Something went wrong here',
  'Nothing was saved. Try again; if it happens again, tell whoever looks after Yugator.',
);

const TOO_LONG = busy(
  'It took too long',
  'Yugator did not come to an answer in time. Look whether it was saved, and try again in a moment.',
  5,
);

/** Errors that the HTTP framework itself raises carry their status. */
function ofFramework(error: unknown): Problem | null {
  if (error instanceof HttpException) return statusProblem(error.getStatus());
  if (!(error instanceof Error) || !('statusCode' in error) || typeof error.statusCode !== 'number')
    return null;
  if ('code' in error && error.code === 'FST_ERR_HANDLER_TIMEOUT') return TOO_LONG;
  return error.statusCode < 500 ? statusProblem(error.statusCode) : null;
}

/** The refusal that an error stands for; null where nothing foresaw it. */
export function problemOf(error: unknown): Problem | null {
  return error instanceof Problem ? error : (databaseProblem(error) ?? ofFramework(error));
}

/** The one place where what went wrong becomes an HTTP answer. */
@Catch()
export class ProblemFilter implements ExceptionFilter {
  private readonly logger = new Logger('Problem');

  catch(error: unknown, host: ArgumentsHost): void {
    const reply = host.switchToHttp().getResponse<FastifyReply>();
    const problem = problemOf(error) ?? this.unexpected(error);
    if (reply.sent || reply.raw.headersSent) return;
    void reply.status(problem.status).headers(problemHeaders(problem)).send(problemDocument(problem));
  }

  private unexpected(error: unknown): Problem {
    this.logger.error(error instanceof Error ? `${error.name}\n${error.stack ?? ''}` : String(error));
    return UNEXPECTED;
  }
}
