import type { Migration } from '../migration.js';

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin';

/** Photos of what has to be opened on a machine, each by what the sheet calls it. */
export const accessPhotos: Migration = {
  name: '0018-access-photos',
  up: [
    `CREATE TABLE IF NOT EXISTS access_photos (
      machine_id ${ID} NOT NULL,
      access VARCHAR(80) COLLATE utf8mb4_bin NOT NULL,
      bytes MEDIUMBLOB NOT NULL,
      revision ${ID} NOT NULL,
      PRIMARY KEY (machine_id, access),
      FOREIGN KEY (machine_id) REFERENCES machines (id)
    ) ENGINE = InnoDB`,
  ],
  down: [`DROP TABLE IF EXISTS access_photos`],
};
