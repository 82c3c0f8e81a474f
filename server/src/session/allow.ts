import { SetMetadata } from '@nestjs/common';
import { ROLES } from '@yugator/contracts';
import type { Role } from '@yugator/contracts';

export const ALLOWED = 'allowedRoles';
export const PUBLIC = 'public';

/** The roles that may call a route. A route that states none, and is not public, is refused to everybody. */
export const Allow = (...roles: readonly Role[]) => SetMetadata(ALLOWED, roles);

/** Every role may call the route, but somebody must be signed in. */
export const ForEveryRole = () => Allow(...ROLES);

/** Anybody may call the route, signed in or not. */
export const Public = () => SetMetadata(PUBLIC, true);
