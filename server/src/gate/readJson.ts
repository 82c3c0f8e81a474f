import type { FastifyInstance, FastifyRequest } from 'fastify';
import type { IncomingMessage } from 'node:http';
import { Problem } from '../problem/problem.js';
import { statusProblem } from '../problem/statusProblem.js';
import type { RouteRules } from '../session/allow.js';
import { USUAL_RULES } from '../session/allow.js';
import { JsonScan } from './jsonScan.js';
import type { ScanFault } from './jsonScan.js';

/** Values in a body that is parsed in this thread: a round of 2,000 readings, a chart of 200 lines. */
const MOST_VALUES = 20_000;
const DEEP_OR_MANY: Record<ScanFault, string> = {
  deep: 'This is nested too deeply. Send the fields as they are described.',
  many: 'This holds too many values at once. Send less and try again.',
};

function bodyRules(request: FastifyRequest): RouteRules {
  return request.routeOptions.config.rules ?? USUAL_RULES;
}

function unreadable(): Problem {
  const detail = 'The body of this request is no JSON. Reload the page and try again.';
  return new Problem(400, 'Not understood', detail);
}

/** The whole body, bounded in bytes, time, depth and number of values while it comes in. Rejects with a {@link Problem}. */
function collect(payload: IncomingMessage, { bodyBytes, bodyMs, isRaw }: RouteRules): Promise<Buffer> {
  return new Promise((resolve, reject) => {
    const chunks: Buffer[] = [];
    const scan = new JsonScan(isRaw ? Infinity : MOST_VALUES);
    let bytes = 0;
    const finish = (problem: Problem | null) => {
      clearTimeout(late);
      payload.removeAllListeners('data').removeAllListeners('end').removeAllListeners('error');
      payload.on('error', () => undefined);
      if (problem) {
        payload.resume();
        reject(problem);
      } else resolve(Buffer.concat(chunks, bytes));
    };
    const late = setTimeout(() => finish(statusProblem(408)), bodyMs);
    payload.on('data', (chunk: Buffer) => {
      bytes += chunk.length;
      if (bytes > bodyBytes) return finish(statusProblem(413));
      const fault = scan.push(chunk);
      if (fault)
        return finish(new Problem(413, 'Too large', DEEP_OR_MANY[fault], [], { endsConnection: true }));
      chunks.push(chunk);
    });
    payload.once('end', () => finish(null));
    payload.once('error', () => finish(statusProblem(400)));
  });
}

function parse(bytes: Buffer): unknown {
  try {
    return JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(bytes));
  } catch {
    throw unreadable();
  }
}

async function read(request: FastifyRequest, payload: IncomingMessage): Promise<unknown> {
  const rules = bodyRules(request);
  if (Number(request.headers['content-length'] ?? 0) > rules.bodyBytes) throw statusProblem(413);
  const bytes = await collect(payload, rules);
  return rules.isRaw ? bytes : parse(bytes);
}

/** Bodies are JSON and nothing else. A form of another site's page cannot send that without asking first. */
export function readJson(fastify: FastifyInstance): void {
  fastify.removeAllContentTypeParsers();
  fastify.addContentTypeParser('application/json', (request: FastifyRequest, payload: IncomingMessage) =>
    read(request, payload),
  );
}
