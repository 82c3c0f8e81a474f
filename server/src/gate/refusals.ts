import type { FastifyReply, FastifyRequest } from 'fastify';
import { STATUS_CODES } from 'node:http';
import type { Socket } from 'node:net';
import type { Problem } from '../problem/problem.js';
import { problemDocument, problemHeaders } from '../problem/problemDocument.js';
import { statusProblem } from '../problem/statusProblem.js';
import { SECURITY_HEADERS } from './securityHeaders.js';

/** Statuses of what cannot even be read as a request, by the code of Node's parser. */
const STATUS_OF: Readonly<Record<string, number>> = {
  HPE_HEADER_OVERFLOW: 431,
  ERR_HTTP_REQUEST_TIMEOUT: 408,
};

/** Answers an address that no route can be looked up by. */
export function refuseAddress(_error: unknown, _request: FastifyRequest, reply: FastifyReply): void {
  const problem = statusProblem(400);
  reply
    .status(problem.status)
    .headers({ ...SECURITY_HEADERS, ...problemHeaders(problem) })
    .send(problemDocument(problem));
}

function rawAnswer(problem: Problem): string {
  const body = problemDocument(problem);
  const headers = {
    ...SECURITY_HEADERS,
    ...problemHeaders(problem),
    'content-length': String(Buffer.byteLength(body)),
    connection: 'close',
  };
  const lines = Object.entries(headers).map(([name, value]) => `${name}: ${value}`);
  return [`HTTP/1.1 ${problem.status} ${STATUS_CODES[problem.status]}`, ...lines, '', body].join('\r\n');
}

/** Answers what is no request, or did not arrive in time, and ends the connection. */
export function refuseConnection(error: Error & { code?: string }, socket: Socket): void {
  if (error.code === 'ECONNRESET' || !socket.writable) socket.destroy();
  else socket.end(rawAnswer(statusProblem(STATUS_OF[error.code ?? ''] ?? 400)));
}
