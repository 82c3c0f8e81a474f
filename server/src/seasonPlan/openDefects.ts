import { civilDate } from '@yugator/core';
import { Defect, OPEN_DEFECTS } from '../models/defect.model.js';
import type { OpenDefect } from './planInstance.js';

/** The open defects of the fleet, earliest first, as the plan asks for them. */
export async function openDefects(): Promise<(OpenDefect & { readonly machineId: string })[]> {
  const rows = await Defect.findAll({
    where: OPEN_DEFECTS,
    attributes: ['id', 'machineId', 'severity', 'foundOn', 'words', 'minutes'],
    order: ['foundOn', 'id'],
    raw: true,
  });
  return rows.map(({ id, machineId, severity, foundOn, words, minutes }) => ({
    id,
    machineId,
    severity,
    words,
    minutes: minutes ?? null,
    foundOn: civilDate(foundOn),
  }));
}
