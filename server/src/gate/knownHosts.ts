import type { FastifyRequest } from 'fastify';
import { Problem } from '../problem/problem.js';
import { statusProblem } from '../problem/statusProblem.js';

/** Names under which a machine reaches itself. */
const LOOPBACK = ['127.0.0.1', 'localhost', '[::1]'];
const READS_ONLY = new Set(['GET', 'HEAD', 'OPTIONS']);

function hostName(host: string): string {
  return host.toLowerCase().replace(/:\d+$/, '');
}

function foreign(): Problem {
  const detail = 'This came from the page of another address. Open Yugator by its own address and try again.';
  return new Problem(403, 'From elsewhere', detail);
}

/** Whether a header that only browsers send says that the page of another site asks. */
function isForeign({ headers, host }: FastifyRequest): boolean {
  const site = headers['sec-fetch-site'];
  if (site !== undefined && site !== 'same-origin' && site !== 'none') return true;
  const { origin } = headers;
  if (origin === undefined) return false;
  return (
    origin.toLowerCase() !== `http://${host}`.toLowerCase() &&
    origin.toLowerCase() !== `https://${host}`.toLowerCase()
  );
}

/** The names and origins that requests may come under. */
export class KnownHosts {
  private readonly given: readonly string[];
  private names: ReadonlySet<string>;

  /** `names`: further host names, without a port, such as that of a proxy in front */
  constructor(names: readonly string[]) {
    this.given = [...LOOPBACK, ...names.map((name) => name.toLowerCase())];
    this.names = new Set(this.given);
  }

  /** What the machine is called in its network by now, besides what it was given. */
  know(names: readonly string[]): void {
    this.names = new Set([...this.given, ...names]);
  }

  /** Throws a {@link Problem} where the request asks for another host: a foreign name that points here is served nothing. */
  requireKnown({ host }: FastifyRequest): void {
    if (!this.names.has(hostName(host))) throw statusProblem(421);
  }

  /** Throws a {@link Problem} where the page of another site writes, or reads the API. */
  requireOwnPage(request: FastifyRequest): void {
    const isRead = READS_ONLY.has(request.method) && request.headers.origin === undefined;
    const isLink = isRead && request.headers['sec-fetch-mode'] === 'navigate';
    if (!isLink && isForeign(request)) throw foreign();
  }
}
