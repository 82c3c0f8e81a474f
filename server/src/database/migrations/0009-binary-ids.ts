import { QueryTypes } from 'sequelize';
import type { Sequelize } from 'sequelize-typescript';
import type { Migration } from '../migration.js';

/** A column that holds an id, and whose id it is. */
interface IdColumn {
  readonly of?: string;
  readonly isOptional?: true;
  readonly goesWithIt?: true;
}

const own: IdColumn = {};
const of = (table: string): IdColumn => ({ of: table });
const maybe = (table: string): IdColumn => ({ of: table, isOptional: true });

/** Every column that holds an id, by table. */
const ID_COLUMNS: Readonly<Record<string, Readonly<Record<string, IdColumn>>>> = {
  articles: { id: own },
  attachments: { machine_id: of('machines') },
  books: { id: own },
  declarations: {
    id: own,
    machine_id: of('machines'),
    item_id: of('items'),
    declared_by_id: of('people'),
  },
  defects: {
    id: own,
    machine_id: of('machines'),
    item_id: maybe('items'),
    reported_by_id: of('people'),
    found_in_job_id: maybe('jobs'),
    closed_by_job_id: maybe('jobs'),
  },
  evidence_answers: {
    machine_id: of('machines'),
    item_id: of('items'),
    answered_by_id: of('people'),
  },
  idempotent_requests: { person_id: { of: 'people', goesWithIt: true } },
  item_articles: { item_id: of('items'), article_id: of('articles') },
  item_overrides: { machine_id: of('machines'), item_id: of('items') },
  items: { id: own, book_id: maybe('books'), machine_id: maybe('machines') },
  job_items: { job_id: of('jobs'), item_id: of('items') },
  job_photos: { id: own, job_id: of('jobs'), taken_by_id: of('people') },
  job_steps: { job_id: of('jobs'), changed_by_id: of('people') },
  jobs: {
    id: own,
    machine_id: of('machines'),
    opened_by_id: of('people'),
    done_by_id: maybe('people'),
    signed_off_by_id: maybe('people'),
    voided_by_id: maybe('people'),
    reading_id: maybe('readings'),
  },
  machine_books: { machine_id: of('machines'), book_id: of('books') },
  machine_photos: { machine_id: of('machines'), revision: own },
  machine_seasons: { machine_id: of('machines'), season_id: of('seasons') },
  machines: { id: own },
  meter_segments: { id: own, machine_id: of('machines') },
  movements: { id: own, article_id: of('articles'), moved_by_id: maybe('people'), job_id: maybe('jobs') },
  people: { id: own },
  reading_photos: { reading_id: of('readings') },
  readings: {
    id: own,
    machine_id: of('machines'),
    entered_by_id: maybe('people'),
    voided_by_id: maybe('people'),
  },
  season_years: { season_id: of('seasons') },
  seasons: { id: own },
  sessions: { person_id: { of: 'people', goesWithIt: true } },
  sites: { id: own },
  status_changes: { id: own, machine_id: of('machines'), changed_by_id: of('people') },
  used_oil: { id: own, job_id: maybe('jobs'), entered_by_id: of('people') },
};

const TABLES = Object.entries(ID_COLUMNS);

/** An older migration goes back by this name. */
const NAMED: Readonly<Record<string, string>> = { 'items.machine_id': 'items_of_machine' };

/** No column of a foreign key changes while the key is there. */
async function dropForeignKeys(sequelize: Sequelize): Promise<string[]> {
  const keys = await sequelize.query<{ tableName: string; keyName: string }>(
    `SELECT table_name AS tableName, constraint_name AS keyName FROM information_schema.referential_constraints
     WHERE constraint_schema = DATABASE()`,
    { type: QueryTypes.SELECT },
  );
  return keys
    .filter(({ tableName }) => tableName in ID_COLUMNS)
    .map(({ tableName, keyName }) => `ALTER TABLE ${tableName} DROP FOREIGN KEY IF EXISTS ${keyName}`);
}

const ADD_FOREIGN_KEYS = TABLES.flatMap(([table, columns]) => {
  const keys = Object.entries(columns).flatMap(([column, { of: other, goesWithIt }]) => {
    if (other === undefined) return [];
    const name = NAMED[`${table}.${column}`] ?? `fk_${table}_${column}`;
    const end = goesWithIt ? ' ON DELETE CASCADE' : '';
    return [`ADD CONSTRAINT ${name} FOREIGN KEY IF NOT EXISTS (${column}) REFERENCES ${other} (id)${end}`];
  });
  return keys.length ? [`ALTER TABLE ${table} ${keys.join(', ')}`] : [];
});

/** Ids in capitals were taken once, and then stood for nothing: the rows that carry one are mended. */
const LOWER = TABLES.map(([table, columns]) => {
  const names = Object.keys(columns);
  const odd = names.map((name) => `BINARY ${name} <> LOWER(${name})`).join(' OR ');
  return `UPDATE ${table} SET ${names.map((name) => `${name} = LOWER(${name})`).join(', ')} WHERE ${odd}`;
});

function collated(collation: string): string[] {
  return TABLES.map(([table, columns]) => {
    const changes = Object.entries(columns).map(([name, { isOptional }]) => {
      const type = `CHAR(36) CHARACTER SET ascii COLLATE ${collation}`;
      return `MODIFY ${name} ${type} ${isOptional ? 'NULL' : 'NOT NULL'}`;
    });
    return `ALTER TABLE ${table} ${changes.join(', ')}`;
  });
}

/** Ids compare byte by byte, so that one spelling of an id is one id everywhere. */
export const binaryIds: Migration = {
  name: '0009-binary-ids',
  up: [dropForeignKeys, ...LOWER, ...collated('ascii_bin'), ...ADD_FOREIGN_KEYS],
  down: [dropForeignKeys, ...collated('ascii_general_ci'), ...ADD_FOREIGN_KEYS],
};
