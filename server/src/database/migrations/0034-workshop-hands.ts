import type { Migration } from '../migration.js';

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin';

/** Who works in the workshop, how long on which weekday, and when they are away. */
export const workshopHands: Migration = {
  name: '0034-workshop-hands',
  up: [
    `CREATE TABLE IF NOT EXISTS workshop_hands (
      person_id ${ID} NOT NULL,
      weekday TINYINT NOT NULL CHECK (weekday BETWEEN 0 AND 6),
      minutes SMALLINT NOT NULL CHECK (minutes BETWEEN 0 AND 1440),
      PRIMARY KEY (person_id, weekday),
      FOREIGN KEY (person_id) REFERENCES people (id)
    ) ENGINE = InnoDB`,
    `CREATE TABLE IF NOT EXISTS workshop_absences (
      id ${ID} NOT NULL PRIMARY KEY,
      person_id ${ID} NOT NULL,
      from_day DATE NOT NULL,
      until_day DATE NOT NULL,
      note VARCHAR(80) NOT NULL DEFAULT '',
      CHECK (until_day >= from_day),
      KEY workshop_absences_until (until_day),
      FOREIGN KEY (person_id) REFERENCES people (id)
    ) ENGINE = InnoDB`,
  ],
  down: [`DROP TABLE IF EXISTS workshop_absences`, `DROP TABLE IF EXISTS workshop_hands`],
};
