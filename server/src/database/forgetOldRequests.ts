import { MOST_DAYS_AGO } from '@yugator/contracts';
import { Op } from 'sequelize';
import { IdempotentRequest } from '../models/idempotentRequest.model.js';

/** Forgets the answers to repeatable requests that no phone will repeat any more. `now` in milliseconds since 1970. */
export async function forgetOldRequests(now: number): Promise<void> {
  await IdempotentRequest.destroy({
    where: { createdAt: { [Op.lt]: new Date(now - MOST_DAYS_AGO * 86_400_000) } },
  });
}
