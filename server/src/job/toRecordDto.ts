import type { RecordDto, RecordOtherDto } from '@yugator/contracts';
import { jobCost, lineCost } from '@yugator/core';
import type { Finding } from '@yugator/core';
import { findingsOf } from './findings.js';
import type { Job, JobItem } from './job.model.js';

function doneOf(items: readonly JobItem[]): string[] {
  return items
    .filter(({ outcome }) => outcome === 'done')
    .toSorted((a, b) => (a.item?.place ?? 0) - (b.item?.place ?? 0))
    .map(({ item }) => item?.name ?? '');
}

function voidedOf(
  { voidedAt, voidedById, voidReason }: Job,
  names: ReadonlyMap<string, string>,
): RecordDto['voided'] {
  if (!voidedAt) return null;
  return { at: voidedAt.toISOString(), by: names.get(voidedById ?? '') ?? '', reason: voidReason ?? '' };
}

function othersOf(items: readonly JobItem[]): RecordOtherDto[] {
  return items.flatMap(({ item, outcome, note }) =>
    outcome === null || outcome === 'done' ? [] : [{ name: item?.name ?? '', outcome, note }],
  );
}

/** A step that several items share found what it found once. */
function onceEach(findings: readonly Finding[]): Finding[] {
  return [...new Map(findings.map((finding) => [finding.key, finding])).values()];
}

/** Who did it, and who signed where that was somebody else. */
function whoOf(
  { doneById, signedOffById }: Job,
  names: ReadonlyMap<string, string>,
): Pick<RecordDto, 'doneBy' | 'signedBy'> {
  const nameOf = (id: string | null) => names.get(id ?? '') ?? '';
  return { doneBy: nameOf(doneById), signedBy: signedOffById === doneById ? null : nameOf(signedOffById) };
}

/** The record of a job that was signed off (and perhaps voided since); null for other jobs. The job carries its associations. */
export function toRecordDto(job: Job, names: ReadonlyMap<string, string>): RecordDto | null {
  const { doneOn, life, shown, machine } = job;
  if (doneOn === null || life === null || shown === null || !machine) return null;
  const minutes = job.minutes ?? 0;
  const drawn = (job.movements ?? []).map(({ article, quantity, priceMinor }) => ({
    name: article?.name ?? '',
    unit: article?.unit ?? ('piece' as const),
    quantity: -quantity,
    priceMinor,
  }));
  const cost = jobCost(drawn, minutes, job.labourRateMinor);
  return {
    jobId: job.id,
    machine: { id: machine.id, tag: machine.tag, name: machine.name },
    doneOn,
    life,
    shown,
    ...whoOf(job, names),
    minutes,
    items: doneOf(job.items ?? []),
    others: othersOf(job.items ?? []),
    findings: onceEach((job.items ?? []).flatMap(findingsOf)),
    draws: drawn.map(({ priceMinor, ...draw }) => ({
      ...draw,
      costMinor: lineCost({ ...draw, priceMinor }),
    })),
    partsCostMinor: cost.parts,
    labourCostMinor: cost.labour,
    costMinor: cost.total,
    note: job.note,
    voided: voidedOf(job, names),
  };
}
