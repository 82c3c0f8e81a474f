import type { PlanProposalDto, VisitCardFieldsDto } from '@yugator/contracts';
import { isRecord } from '@yugator/core';
import { storedList } from '../database/storedJson.js';
import type { PlanProposalRow } from '../models/plan.model.js';

function isCard(value: unknown): value is VisitCardFieldsDto {
  return (
    isRecord(value) &&
    typeof value['machineId'] === 'string' &&
    typeof value['on'] === 'string' &&
    typeof value['isLocked'] === 'boolean' &&
    Array.isArray(value['itemIds']) &&
    value['itemIds'].every((id) => typeof id === 'string')
  );
}

/** A stored proposal as it is told. Throws where the table holds something else. */
export function storedProposal({
  cards,
  cost,
  bound,
  madeAt,
  planVersion,
}: PlanProposalRow): PlanProposalDto {
  const list = storedList(cards);
  if (!list.every(isCard)) throw new Error('A stored proposal is none.');
  return { cards: [...list], cost, bound, madeAt: madeAt.toISOString(), version: planVersion };
}
