import { randomBytes } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { giveTo } from './systemUser.js';
import type { SystemUser } from './systemUser.js';

export const DATABASE = 'yugator';
export const ACCOUNT = 'yugator_server';

/** The password of the account, made once and kept where only its owner reads it. */
export function passwordOf(folder: string): string {
  const file = join(folder, 'password');
  if (!existsSync(file)) writeFileSync(file, randomBytes(24).toString('hex'), { mode: 0o600, flag: 'wx' });
  return readFileSync(file, 'utf8');
}

/**
 * What the server runs before it takes connections: the database, and an account that may do everything in it and nothing
 * elsewhere; the account of older versions, which could do more, goes. `others`: patterns of further databases, for tests.
 */
export function writeInitFile(
  folder: string,
  password: string,
  user: SystemUser | null,
  others: readonly string[],
): string {
  const file = join(folder, 'init.sql');
  const account = `'${ACCOUNT}'@'localhost'`;
  writeFileSync(
    file,
    [
      `CREATE DATABASE IF NOT EXISTS ${DATABASE} CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_520_ci;`,
      `CREATE USER IF NOT EXISTS ${account} IDENTIFIED BY '${password}';`,
      `ALTER USER ${account} IDENTIFIED BY '${password}';`,
      `REVOKE ALL PRIVILEGES, GRANT OPTION FROM ${account};`,
      ...[DATABASE, ...others].map((name) => `GRANT ALL PRIVILEGES ON \`${name}\`.* TO ${account};`),
      `DROP USER IF EXISTS 'yugator'@'127.0.0.1';`,
      '',
    ].join('\n'),
    { mode: 0o600 },
  );
  giveTo(user, file);
  return file;
}
