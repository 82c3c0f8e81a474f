import type { Migration } from '../migration.js';

export const fleet: Migration = {
  name: '0002-fleet',
  up: [
    `CREATE TABLE IF NOT EXISTS books (
      id CHAR(36) CHARACTER SET ascii NOT NULL PRIMARY KEY,
      name VARCHAR(80) NOT NULL UNIQUE,
      machine_class VARCHAR(20) NOT NULL
    ) ENGINE = InnoDB`,
    `CREATE TABLE IF NOT EXISTS items (
      id CHAR(36) CHARACTER SET ascii NOT NULL PRIMARY KEY,
      book_id CHAR(36) CHARACTER SET ascii NOT NULL,
      name VARCHAR(80) NOT NULL,
      minutes INT NOT NULL,
      place INT NOT NULL,
      UNIQUE (book_id, name),
      FOREIGN KEY (book_id) REFERENCES books (id)
    ) ENGINE = InnoDB`,
    `CREATE TABLE IF NOT EXISTS item_triggers (
      id CHAR(36) CHARACTER SET ascii NOT NULL PRIMARY KEY,
      item_id CHAR(36) CHARACTER SET ascii NOT NULL,
      kind VARCHAR(20) NOT NULL,
      every_hours DECIMAL(9, 2) NULL,
      every_count INT NULL,
      every_unit VARCHAR(10) NULL,
      FOREIGN KEY (item_id) REFERENCES items (id),
      CHECK ((kind = 'everyHours' AND every_hours > 0) OR (kind = 'everyCalendar' AND every_count > 0 AND every_unit IN ('day', 'month')))
    ) ENGINE = InnoDB`,
    `CREATE TABLE IF NOT EXISTS machines (
      id CHAR(36) CHARACTER SET ascii NOT NULL PRIMARY KEY,
      tag VARCHAR(12) NOT NULL UNIQUE,
      name VARCHAR(60) NOT NULL,
      machine_class VARCHAR(20) NOT NULL,
      make VARCHAR(60) NOT NULL,
      model VARCHAR(60) NOT NULL,
      fuel VARCHAR(20) NOT NULL,
      shed VARCHAR(60) NOT NULL,
      walk_order INT NOT NULL,
      in_service_on DATE NOT NULL,
      in_service_hours DECIMAL(9, 2) NOT NULL,
      came_new BOOLEAN NOT NULL,
      version INT NOT NULL
    ) ENGINE = InnoDB`,
    `CREATE TABLE IF NOT EXISTS machine_books (
      machine_id CHAR(36) CHARACTER SET ascii NOT NULL,
      book_id CHAR(36) CHARACTER SET ascii NOT NULL,
      PRIMARY KEY (machine_id, book_id),
      FOREIGN KEY (machine_id) REFERENCES machines (id),
      FOREIGN KEY (book_id) REFERENCES books (id)
    ) ENGINE = InnoDB`,
    `CREATE TABLE IF NOT EXISTS meter_segments (
      id CHAR(36) CHARACTER SET ascii NOT NULL PRIMARY KEY,
      machine_id CHAR(36) CHARACTER SET ascii NOT NULL,
      starts_at DATETIME(3) NOT NULL,
      hours_offset DECIMAL(9, 2) NOT NULL,
      UNIQUE (machine_id, starts_at),
      FOREIGN KEY (machine_id) REFERENCES machines (id)
    ) ENGINE = InnoDB`,
    `CREATE TABLE IF NOT EXISTS readings (
      id CHAR(36) CHARACTER SET ascii NOT NULL PRIMARY KEY,
      machine_id CHAR(36) CHARACTER SET ascii NOT NULL,
      read_at DATETIME(3) NOT NULL,
      shown DECIMAL(9, 2) NOT NULL,
      source VARCHAR(20) NOT NULL,
      entered_by_id CHAR(36) CHARACTER SET ascii NULL,
      voided_at DATETIME(3) NULL,
      voided_by_id CHAR(36) CHARACTER SET ascii NULL,
      void_reason VARCHAR(200) NULL,
      INDEX (machine_id, read_at),
      FOREIGN KEY (machine_id) REFERENCES machines (id),
      FOREIGN KEY (entered_by_id) REFERENCES people (id),
      FOREIGN KEY (voided_by_id) REFERENCES people (id)
    ) ENGINE = InnoDB`,
    `CREATE TABLE IF NOT EXISTS declarations (
      id CHAR(36) CHARACTER SET ascii NOT NULL PRIMARY KEY,
      machine_id CHAR(36) CHARACTER SET ascii NOT NULL,
      item_id CHAR(36) CHARACTER SET ascii NOT NULL,
      done_on DATE NOT NULL,
      life DECIMAL(9, 2) NOT NULL,
      note VARCHAR(200) NOT NULL,
      declared_at DATETIME(3) NOT NULL,
      declared_by_id CHAR(36) CHARACTER SET ascii NOT NULL,
      INDEX (machine_id, item_id),
      FOREIGN KEY (machine_id) REFERENCES machines (id),
      FOREIGN KEY (item_id) REFERENCES items (id),
      FOREIGN KEY (declared_by_id) REFERENCES people (id)
    ) ENGINE = InnoDB`,
  ],
  down: [
    'declarations',
    'readings',
    'meter_segments',
    'machine_books',
    'machines',
    'item_triggers',
    'items',
    'books',
  ].map((table) => `DROP TABLE IF EXISTS ${table}`),
};
