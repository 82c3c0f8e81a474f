import type { Migration } from '../migration.js';

export const people: Migration = {
  name: '0001-people',
  up: [
    `CREATE TABLE IF NOT EXISTS sites (
      id CHAR(36) CHARACTER SET ascii NOT NULL PRIMARY KEY,
      name VARCHAR(80) NOT NULL,
      time_zone VARCHAR(64) NOT NULL,
      currency CHAR(3) CHARACTER SET ascii NOT NULL,
      demonstration BOOLEAN NOT NULL
    ) ENGINE = InnoDB`,
    `CREATE TABLE IF NOT EXISTS people (
      id CHAR(36) CHARACTER SET ascii NOT NULL PRIMARY KEY,
      name VARCHAR(60) NOT NULL UNIQUE,
      role VARCHAR(20) NOT NULL,
      password_hash VARCHAR(255) NOT NULL,
      active BOOLEAN NOT NULL,
      version INT NOT NULL
    ) ENGINE = InnoDB`,
    `CREATE TABLE IF NOT EXISTS sessions (
      token_hash CHAR(64) CHARACTER SET ascii NOT NULL PRIMARY KEY,
      person_id CHAR(36) CHARACTER SET ascii NOT NULL,
      created_at DATETIME(3) NOT NULL,
      expires_at DATETIME(3) NOT NULL,
      INDEX (expires_at),
      FOREIGN KEY (person_id) REFERENCES people (id) ON DELETE CASCADE
    ) ENGINE = InnoDB`,
    `CREATE TABLE IF NOT EXISTS idempotent_requests (
      person_id CHAR(36) CHARACTER SET ascii NOT NULL,
      idempotency_key VARCHAR(100) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
      request_hash CHAR(64) CHARACTER SET ascii NOT NULL,
      answer LONGTEXT NULL,
      created_at DATETIME(3) NOT NULL,
      PRIMARY KEY (person_id, idempotency_key),
      INDEX (created_at),
      FOREIGN KEY (person_id) REFERENCES people (id) ON DELETE CASCADE
    ) ENGINE = InnoDB`,
  ],
  down: ['idempotent_requests', 'sessions', 'people', 'sites'].map(
    (table) => `DROP TABLE IF EXISTS ${table}`,
  ),
};
