import type { JobDto, ServiceLabelDto } from '@yugator/contracts';
import { getsLabel } from '@yugator/core';

/** What was poured, as whoever poured it said; '' where nobody did: a label claims nothing that nobody knows. */
function pouredIn({ steps }: JobDto): string {
  const poured = steps.find(({ key }) => key === 'engineOil.pour')?.found?.['poured'];
  return typeof poured === 'string' ? poured : '';
}

/** Next due points of what was done: "next 466.0 h or 2028-05-12". */
function nextOf(job: JobDto, itemIds: ReadonlySet<string>): string {
  const limits = job.items
    .filter(({ itemId }) => itemIds.has(itemId))
    .flatMap(({ due }) => due?.limits ?? []);
  const hours = limits.filter(({ at }) => at !== null).map(({ at }) => at ?? 0);
  const days = limits.filter(({ on }) => on !== null).map(({ on }) => on ?? '');
  const parts = [hours.length ? `${Math.min(...hours).toFixed(1)} h` : '', days.toSorted()[0] ?? ''].filter(
    Boolean,
  );
  return parts.length ? `next ${parts.join(' or ')}` : '';
}

/** The labels of a job that is signed off: one for the filter and one for the fill cap, where its oil was changed; none otherwise. */
export function serviceLabels(job: JobDto): ServiceLabelDto[] {
  const { record, setUp, machine } = job;
  if (!record || record.voided) return [];
  const done = new Set(job.items.filter(({ outcome }) => outcome === 'done').map(({ itemId }) => itemId));
  const oil = setUp.items.filter((item) => done.has(item.id) && getsLabel(item));
  if (oil.length === 0) return [];
  const next = nextOf(job, new Set(oil.map(({ id }) => id)));
  return ['Oil filter', 'Engine oil'].map((what) => ({
    title: `${machine.tag}  ${what}`,
    lines: [`${record.doneOn}   ${record.life.toFixed(1)} h`, pouredIn(job), next].filter(Boolean),
  }));
}
