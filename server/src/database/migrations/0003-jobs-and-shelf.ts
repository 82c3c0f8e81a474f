import type { Migration } from '../migration.js';

export const jobsAndShelf: Migration = {
  name: '0003-jobs-and-shelf',
  up: [
    `CREATE TABLE IF NOT EXISTS articles (
      id CHAR(36) CHARACTER SET ascii NOT NULL PRIMARY KEY,
      name VARCHAR(80) NOT NULL UNIQUE,
      kind VARCHAR(10) NOT NULL,
      unit VARCHAR(10) NOT NULL,
      least_on_hand DECIMAL(12, 3) NOT NULL,
      price_minor INT NOT NULL
    ) ENGINE = InnoDB`,
    `CREATE TABLE IF NOT EXISTS item_articles (
      item_id CHAR(36) CHARACTER SET ascii NOT NULL,
      article_id CHAR(36) CHARACTER SET ascii NOT NULL,
      quantity DECIMAL(12, 3) NOT NULL,
      PRIMARY KEY (item_id, article_id),
      FOREIGN KEY (item_id) REFERENCES items (id),
      FOREIGN KEY (article_id) REFERENCES articles (id)
    ) ENGINE = InnoDB`,
    `CREATE TABLE IF NOT EXISTS jobs (
      id CHAR(36) CHARACTER SET ascii NOT NULL PRIMARY KEY,
      machine_id CHAR(36) CHARACTER SET ascii NOT NULL,
      state VARCHAR(12) NOT NULL,
      opened_at DATETIME(3) NOT NULL,
      opened_by_id CHAR(36) CHARACTER SET ascii NOT NULL,
      version INT NOT NULL,
      done_on DATE NULL,
      life DECIMAL(9, 2) NULL,
      shown DECIMAL(9, 2) NULL,
      done_by_id CHAR(36) CHARACTER SET ascii NULL,
      minutes INT NULL,
      note VARCHAR(1000) NOT NULL DEFAULT '',
      reading_id CHAR(36) CHARACTER SET ascii NULL,
      signed_off_at DATETIME(3) NULL,
      signed_off_by_id CHAR(36) CHARACTER SET ascii NULL,
      voided_at DATETIME(3) NULL,
      voided_by_id CHAR(36) CHARACTER SET ascii NULL,
      void_reason VARCHAR(200) NULL,
      INDEX (machine_id, state),
      INDEX (state, done_on),
      FOREIGN KEY (machine_id) REFERENCES machines (id),
      FOREIGN KEY (opened_by_id) REFERENCES people (id),
      FOREIGN KEY (done_by_id) REFERENCES people (id),
      FOREIGN KEY (signed_off_by_id) REFERENCES people (id),
      FOREIGN KEY (voided_by_id) REFERENCES people (id),
      FOREIGN KEY (reading_id) REFERENCES readings (id)
    ) ENGINE = InnoDB`,
    `CREATE TABLE IF NOT EXISTS job_items (
      job_id CHAR(36) CHARACTER SET ascii NOT NULL,
      item_id CHAR(36) CHARACTER SET ascii NOT NULL,
      ticked BOOLEAN NOT NULL,
      version INT NOT NULL,
      PRIMARY KEY (job_id, item_id),
      FOREIGN KEY (job_id) REFERENCES jobs (id),
      FOREIGN KEY (item_id) REFERENCES items (id)
    ) ENGINE = InnoDB`,
    `CREATE TABLE IF NOT EXISTS movements (
      id CHAR(36) CHARACTER SET ascii NOT NULL PRIMARY KEY,
      article_id CHAR(36) CHARACTER SET ascii NOT NULL,
      kind VARCHAR(10) NOT NULL,
      quantity DECIMAL(12, 3) NOT NULL,
      price_minor INT NOT NULL,
      moved_at DATETIME(3) NOT NULL,
      moved_by_id CHAR(36) CHARACTER SET ascii NULL,
      job_id CHAR(36) CHARACTER SET ascii NULL,
      note VARCHAR(200) NOT NULL,
      voided_at DATETIME(3) NULL,
      INDEX (article_id, moved_at),
      FOREIGN KEY (article_id) REFERENCES articles (id),
      FOREIGN KEY (moved_by_id) REFERENCES people (id),
      FOREIGN KEY (job_id) REFERENCES jobs (id)
    ) ENGINE = InnoDB`,
  ],
  down: ['movements', 'job_items', 'jobs', 'item_articles', 'articles'].map(
    (table) => `DROP TABLE IF EXISTS ${table}`,
  ),
};
