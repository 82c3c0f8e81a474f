import { Problem } from './problem.js';

interface Words {
  readonly title: string;
  readonly detail: string;
}

/** What the HTTP framework refuses before a route sees it, in our words. */
const WORDS: Readonly<Record<number, Words>> = {
  400: { title: 'Not understood', detail: 'This request cannot be read. Reload the page and try again.' },
  404: { title: 'Not found', detail: 'There is nothing at this address. Go back and look again.' },
  405: { title: 'Not offered', detail: 'This address does not offer that. Reload the page and try again.' },
  408: {
    title: 'Too slow',
    detail: 'The request did not arrive in time. Try again where the signal is better.',
  },
  413: { title: 'Too large', detail: 'This is more than can be taken at once. Send less and try again.' },
  414: { title: 'Address too long', detail: 'This address is too long. Go back and look again.' },
  415: { title: 'Not JSON', detail: 'Only JSON is taken here. Send it as application/json.' },
  421: {
    title: 'Another address',
    detail: 'Yugator is not served under this name. Open it by its own address.',
  },
  431: {
    title: 'Too many headers',
    detail: 'The headers of this request are too large. Clear the cookies of this address.',
  },
};

/** The refusal that goes with an HTTP status. */
export function statusProblem(status: number): Problem {
  const { title, detail } = WORDS[status] ?? {
    title: 'Not accepted',
    detail: 'This request is not accepted. Reload the page and try again.',
  };
  const endsConnection = status === 408 || status === 413;
  return new Problem(status, title, detail, [], { endsConnection });
}
