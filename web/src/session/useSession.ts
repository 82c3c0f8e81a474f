import type { Role, SessionDto } from '@yugator/contracts';
import { createContext, useContext } from 'react';

export const SessionContext = createContext<SessionDto | undefined>(undefined);

/** Who is signed in, where, and what day it is there. */
export function useSession(): SessionDto {
  const session = useContext(SessionContext);
  if (!session) throw new Error('useSession needs a <SignedIn> above it.');
  return session;
}

/** Whether the person signed in has one of `roles`. The server decides anew; this only spares dead buttons. */
export function useIsOneOf(...roles: readonly Role[]): boolean {
  return roles.includes(useSession().person.role);
}
