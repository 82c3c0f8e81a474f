import type { Migration } from '../migration.js';

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin';

/** A photo of an article, by which it is known on the shelf. */
export const articlePhotos: Migration = {
  name: '0030-article-photos',
  up: [
    `CREATE TABLE IF NOT EXISTS article_photos (
      article_id ${ID} NOT NULL PRIMARY KEY,
      bytes MEDIUMBLOB NOT NULL,
      revision ${ID} NOT NULL,
      FOREIGN KEY (article_id) REFERENCES articles (id)
    ) ENGINE = InnoDB`,
  ],
  down: [`DROP TABLE IF EXISTS article_photos`],
};
