import { storedWalk } from './storedWalk.js';
import type { RecordDto, RecordOtherDto } from '@yugator/contracts';
import { jobCost, onHand } from '@yugator/core';
import type { Finding } from '@yugator/core';
import { findingsOf } from './findings.js';
import { inBookOrder } from './inBookOrder.js';
import { grouped } from '../database/grouped.js';
import type { Job, JobItem } from '../models/job.model.js';
import type { Movement } from '../models/shelf.model.js';

function doneOf(items: readonly JobItem[]): string[] {
  return items.filter(({ outcome }) => outcome === 'done').map(({ itemName }) => itemName ?? '');
}

function voidedOf({ voidedAt, voidedByName, voidReason }: Job): RecordDto['voided'] {
  if (!voidedAt) return null;
  return { at: voidedAt.toISOString(), by: voidedByName ?? '', reason: voidReason ?? '' };
}

function othersOf(items: readonly JobItem[]): RecordOtherDto[] {
  return items.flatMap(({ itemName, outcome, note }) =>
    outcome === null || outcome === 'done' ? [] : [{ name: itemName ?? '', outcome, note }],
  );
}

/** A step that several items share found what it found once. */
function onceEach(findings: readonly Finding[]): Finding[] {
  return [...new Map(findings.map((finding) => [finding.key, finding])).values()];
}

/** Who did it, and who signed where that was somebody else. */
function whoOf({
  doneById,
  signedOffById,
  doneByName,
  signedOffByName,
}: Job): Pick<RecordDto, 'doneBy' | 'signedBy'> {
  return {
    doneBy: doneByName ?? '',
    signedBy: signedOffById === doneById ? null : (signedOffByName ?? ''),
  };
}

/** What a job drew of each article, out of however many sheds; what it left of kits was drawn less than nothing. */
function toldOf(movements: readonly Movement[]) {
  const byArticle = grouped(movements, ({ articleId, quantity }) => `${articleId} ${Math.sign(quantity)}`);
  return [...byArticle.values()].flatMap((own) =>
    own.slice(0, 1).map(({ articleName, articleUnit }) => ({
      name: articleName ?? '',
      unit: articleUnit ?? ('piece' as const),
      quantity: 0 - onHand(own),
      costMinor: own.reduce((sum, { valueMinor }) => sum - valueMinor, 0),
    })),
  );
}

/**
 * The record of a job that was signed off (and perhaps voided since), under the names of then; null for other jobs. The job carries its
 * items, movements and what it mended.
 */
export function toRecordDto(job: Job): RecordDto | null {
  const { doneOn, life, shown } = job;
  if (doneOn === null || life === null || shown === null) return null;
  const minutes = job.minutes ?? 0;
  const items = inBookOrder(job.items ?? []);
  const told = toldOf(job.movements ?? []);
  const cost = jobCost(told, minutes, job.labourRateMinor);
  return {
    jobId: job.id,
    kind: job.kind,
    machine: { id: job.machineId, tag: job.machineTag ?? '', name: job.machineName ?? '' },
    doneOn,
    life,
    shown,
    ...whoOf(job),
    minutes,
    items: doneOf(items),
    mended: (job.mended ?? []).map(({ words }) => words).sort(),
    others: othersOf(items),
    findings: onceEach(items.flatMap(findingsOf)),
    draws: told.filter(({ quantity }) => quantity > 0),
    left: told
      .filter(({ quantity }) => quantity < 0)
      .map(({ quantity, costMinor, ...draw }) => ({ ...draw, quantity: -quantity, costMinor: -costMinor })),
    partsCostMinor: cost.parts,
    labourCostMinor: cost.labour,
    costMinor: cost.total,
    note: job.note,
    fluidReason: job.fluidReason,
    ...storedWalk(job.walk),
    topUps: (job.topUps ?? []).map(({ component, litres, grade }) => ({ component, litres, grade })),
    voided: voidedOf(job),
  };
}
