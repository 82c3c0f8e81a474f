import { hash, verify } from '@node-rs/argon2';

/** Argon2id with 19 MiB and two passes: the least that the OWASP password storage cheat sheet asks for (from memory). */
const COST = { memoryCost: 19_456, timeCost: 2, parallelism: 1 };

/** An argon2id hash with its salt and cost, to be stored. It takes a core some 30 ms. */
export function hashPassword(password: string): Promise<string> {
  return hash(password, COST);
}

/** Whether `password` is the one hashed. */
export function passwordMatches(password: string, passwordHash: string): Promise<boolean> {
  return verify(passwordHash, password);
}
