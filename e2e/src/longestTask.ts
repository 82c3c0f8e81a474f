import type { Page } from 'puppeteer-core';

interface TraceEvent {
  readonly name: string;
  readonly pid: number;
  readonly tid: number;
  readonly args: { readonly name?: string };
  /** Time of the processor, in microseconds; of a task that was not cut off. */
  readonly tdur?: number;
}

/**
 * The longest task of the page's thread until something is done, in milliseconds of the processor: what others on this computer take of it
 * meanwhile is not the page's.
 */
export async function longestTask(page: Page, act: () => Promise<void>): Promise<number> {
  await page.tracing.start({ categories: ['toplevel'] });
  await act();
  const trace = await page.tracing.stop();
  if (!trace) throw new Error('The browser recorded nothing.');
  const { traceEvents } = JSON.parse(new TextDecoder().decode(trace)) as { traceEvents: TraceEvent[] };
  const thread = ({ pid, tid }: TraceEvent) => `${pid} ${tid}`;
  const pages = new Set(
    traceEvents
      .filter(({ name, args }) => name === 'thread_name' && args.name === 'CrRendererMain')
      .map(thread),
  );
  const tasks = traceEvents.flatMap((event) =>
    event.name === 'ThreadControllerImpl::RunTask' && pages.has(thread(event)) ? (event.tdur ?? []) : [],
  );
  if (tasks.length === 0) throw new Error('The browser recorded no task of the page.');
  return tasks.reduce((longest, time) => Math.max(longest, time), 0) / 1000;
}
