import type { Role, SessionDto } from '@yugator/contracts';
import { createContext, useContext } from 'react';

export const SessionContext = createContext<SessionDto | undefined>(undefined);

/** Who is signed in, where, and what day it is there. */
export function useSession(): SessionDto {
  const session = useContext(SessionContext);
  if (!session) throw new Error('useSession needs a <SignedIn> above it.');
  return session;
}

/**
 * Whether the person signed in has one of `roles` and may do what they do: at a device of the shed nobody may. The server decides anew;
 * this only spares dead buttons.
 */
export function useIsOneOf(...roles: readonly Role[]): boolean {
  const { person, atShed } = useSession();
  return atShed === null && roles.includes(person.role);
}

/** Whether the person signed in reads meters and walks round machines: at a device of the shed too. */
export function useMayRound(): boolean {
  return useSession().person.role !== 'viewer';
}
