import type { OpenSessionDto } from '@yugator/contracts';
import type { Session } from '../models/session.model.js';

/** A session as it is told; `thisId` is the one that asks. */
export function toOpenSession(session: Session, thisId: string): OpenSessionDto {
  const { id, device, address, isOwnDevice, createdAt, lastSeenAt } = session;
  return {
    id,
    device,
    address,
    isOwnDevice,
    isThis: id === thisId,
    createdAt: createdAt.toISOString(),
    lastSeenAt: lastSeenAt.toISOString(),
  };
}
