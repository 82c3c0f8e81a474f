import { hash, verify } from '@node-rs/argon2';

/** Argon2id with 19 MiB and two passes: the least that the OWASP password storage cheat sheet asks for (from memory). */
const COST = { memoryCost: 19_456, timeCost: 2, parallelism: 1 };

let unknown: Promise<string> | undefined;

/** An argon2id hash with its salt and cost, to be stored. */
export function hashPassword(password: string): Promise<string> {
  return hash(password, COST);
}

/** Whether `password` is the one hashed. Without a hash it takes as long and says no, so that names cannot be probed. */
export async function passwordMatches(password: string, passwordHash: string | null): Promise<boolean> {
  unknown ??= hashPassword('nobody has this password');
  const matches = await verify(passwordHash ?? (await unknown), password);
  return passwordHash !== null && matches;
}
